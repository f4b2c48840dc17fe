// Tells truly what is saved: htmx alone would show an old "Saved" over newer typing, and give up silently on a lost connection.
const form = document.querySelector('[data-saving]');
const RETRY_MILLISECONDS = 4000;
let unsent = false;
let timer = 0;

function show(text, lost) {
  const line = document.getElementById('saved');
  line.textContent = text;
  line.classList.toggle('saved-not', lost);
}

function notSaved() {
  unsent = true;
  show('Not saved yet. Stay on this page, it tries again by itself.', true);
  window.clearTimeout(timer);
  timer = window.setTimeout(() => form.dispatchEvent(new CustomEvent('save-again')), RETRY_MILLISECONDS);
}

form.addEventListener('input', () => {
  unsent = true;
  show('Saving …', false);
});
form.addEventListener('htmx:beforeRequest', () => { unsent = false; });
form.addEventListener('htmx:sendError', notSaved);
form.addEventListener('htmx:responseError', notSaved);
document.body.addEventListener('htmx:afterSwap', () => {
  window.clearTimeout(timer);
  if (unsent) show('Saving …', false);
});
window.addEventListener('online', () => form.dispatchEvent(new CustomEvent('save-again')));
// What was typed last goes out even while the page is being left.
window.addEventListener('pagehide', () => {
  if (unsent) navigator.sendBeacon(form.getAttribute('hx-post'), new FormData(form));
});
// The button leaves the page by a plain request, so that handing in works without scripts too.
for (const button of form.querySelectorAll('[data-check], [data-step], .question-walk button')) {
  button.addEventListener('click', (event) => {
    event.preventDefault();
    unsent = false;
    if (button.hasAttribute('formaction')) form.action = button.getAttribute('formaction');
    form.submit();
  });
}
// What was answered before the page listened is sent as soon as it does.
function isAnswered(field) {
  if (field.type === 'radio' || field.type === 'checkbox') return field.checked !== field.defaultChecked;
  if (field.tagName === 'SELECT') return [...field.options].some((option) => option.selected && !option.defaultSelected && option.value !== '');
  return 'defaultValue' in field && field.value !== field.defaultValue;
}
window.addEventListener('load', () => {
  if ([...form.elements].some(isAnswered)) form.dispatchEvent(new CustomEvent('save-again'));
});
