// Adds, moves and removes option rows of a question's form; the server sees their order when the form is sent.
export function attachOptions(root) {
  root.addEventListener('click', (event) => {
    const row = event.target.closest('[data-option-row]');
    if (event.target.closest('[data-option-remove]')) remove(row);
    if (event.target.closest('[data-option-up]')) {
      row.previousElementSibling?.before(row);
      event.target.focus();
      letters(row.parentElement);
    }
    const add = event.target.closest('[data-option-add]');
    if (add) addTo(add.parentElement.querySelector('[data-options]'));
  });
}

function remove(row) {
  const list = row.parentElement;
  if (list.children.length < 2) return;
  (row.nextElementSibling ?? row.previousElementSibling).querySelector('[name=option]').focus();
  row.remove();
  letters(list);
}

function addTo(list) {
  const row = list.lastElementChild.cloneNode(true);
  row.querySelector('[name=from]').value = '-1';
  row.querySelector('[name=option]').value = '';
  list.append(row);
  letters(list);
  row.querySelector('[name=option]').focus();
}

function letters(list) {
  const first = list.dataset.first ??= list.querySelector('.question-card-letter').textContent;
  const start = first === first.toLowerCase() ? 97 : 65;
  [...list.children].forEach((row, place) => {
    const letter = String.fromCharCode(start + (place % 26));
    row.querySelector('.question-card-letter').textContent = letter;
    row.querySelector('[name=option]').setAttribute('aria-label', `Option ${letter}`);
  });
}
