// Chooses lines of the sheet by pressing and drawing over them, or with the arrow keys; htmx knows no selections.
export function attachSweep(root, { changed, chosen, words }) {
  const sheet = root.querySelector('[data-sheet]');
  let start = 0;

  const lineOf = (event) => event.target.closest?.('.sheet-line');
  const choose = (from, to) => {
    const [low, high] = from < to ? [from, to] : [to, from];
    [...sheet.getElementsByClassName('is-swept')].forEach((line) => {
      if (line.dataset.line < low || line.dataset.line > high) line.classList.remove('is-swept');
    });
    for (let number = low; number <= high; number += 1) {
      document.getElementById(`line-${number}`)?.classList.add('is-swept');
    }
    changed();
  };

  sheet.addEventListener('pointerdown', (event) => {
    const line = lineOf(event);
    if (!line || event.button !== 0) return;
    const number = Number(line.dataset.line);
    root.querySelector('[data-words]').replaceChildren();
    if (!event.shiftKey || start === 0) start = number;
    choose(start, number);
    chosen(line);
    sheet.dataset.sweeping = 'true';
  });
  sheet.addEventListener('pointermove', (event) => {
    const line = lineOf(event);
    if (line && sheet.dataset.sweeping && event.buttons === 1) choose(start, Number(line.dataset.line));
  });
  sheet.addEventListener('dblclick', (event) => { if (lineOf(event)) words(); });
  window.addEventListener('pointerup', () => { delete sheet.dataset.sweeping; });
  sheet.addEventListener('keydown', (event) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    const swept = sweptLines(root);
    const count = sheet.getElementsByClassName('sheet-line').length;
    const edge = event.key === 'ArrowDown' ? (swept.at(-1) ?? 0) + 1 : (swept[0] ?? 2) - 1;
    const next = Math.min(count, Math.max(1, edge));
    if (!event.shiftKey || start === 0) start = next;
    choose(start, next);
    const line = document.getElementById(`line-${next}`);
    line.scrollIntoView({ block: 'nearest' });
    chosen(line);
  });
}

export function sweptLines(root) {
  return [...root.getElementsByClassName('is-swept')].map((line) => Number(line.dataset.line));
}

export function clearSweep(root) {
  [...root.getElementsByClassName('is-swept')].forEach((line) => line.classList.remove('is-swept'));
}
