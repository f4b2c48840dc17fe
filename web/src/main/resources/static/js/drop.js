// Lets files be dropped on the form that also has a file chooser; htmx sends them either way.
const form = document.querySelector('[data-drop]');
const input = form.querySelector('input[type=file]');
for (const name of ['dragenter', 'dragover']) {
  form.addEventListener(name, (event) => {
    event.preventDefault();
    form.classList.add('is-over');
  });
}
form.addEventListener('dragleave', () => form.classList.remove('is-over'));
form.addEventListener('drop', (event) => {
  event.preventDefault();
  form.classList.remove('is-over');
  if (event.dataTransfer.files.length > 0) {
    input.files = event.dataTransfer.files;
    form.dispatchEvent(new CustomEvent('dropped'));
  }
});
form.addEventListener('htmx:afterRequest', () => { input.value = ''; });
