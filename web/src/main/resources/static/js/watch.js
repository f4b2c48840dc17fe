// Asks for the rows again while nothing in them is being used.
const EVERY_MILLISECONDS = 4000;

window.setInterval(() => {
  const rows = document.getElementById('rows');
  const used = rows.querySelector('details[open]') || rows.contains(document.activeElement);
  if (!used && !document.hidden) rows.dispatchEvent(new CustomEvent('again'));
}, EVERY_MILLISECONDS);
