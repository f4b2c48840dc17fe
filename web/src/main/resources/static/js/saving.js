// Says so when an answer could not be saved, and tries again until it is: htmx alone would give up silently.
const form = document.querySelector('[data-saving]');
const RETRY_MILLISECONDS = 4000;
let timer = 0;

function notSaved() {
  const line = document.getElementById('saved');
  line.textContent = 'Not saved yet. Stay on this page, it tries again by itself.';
  line.classList.add('saved-not');
  window.clearTimeout(timer);
  timer = window.setTimeout(() => form.dispatchEvent(new CustomEvent('save-again')), RETRY_MILLISECONDS);
}

form.addEventListener('htmx:sendError', notSaved);
form.addEventListener('htmx:responseError', notSaved);
form.addEventListener('htmx:afterOnLoad', () => window.clearTimeout(timer));
window.addEventListener('online', () => form.dispatchEvent(new CustomEvent('save-again')));
// The button leaves the page by a plain request, so that handing in works without scripts too.
form.querySelector('[data-check]').addEventListener('click', (event) => {
  event.preventDefault();
  form.submit();
});
