// Makes a question's points a field while they are changed. Hundreds of fields at rest would slow down every change of the
// page: browsers look through all of them for something to fill in.
export function attachPoints(root, send) {
  root.addEventListener('click', (event) => {
    const button = event.target.closest('[data-points]');
    if (button) edit(button);
  });

  function edit(button) {
    const field = document.createElement('input');
    field.type = 'number';
    field.min = '0';
    field.max = '999';
    field.step = '0.25';
    field.required = true;
    field.value = button.dataset.value;
    field.className = 'question-card-points-field';
    field.setAttribute('aria-label', button.getAttribute('aria-label'));
    button.replaceWith(field);
    field.focus();
    field.select();
    let done = false;
    const leave = ({ keep }) => {
      if (done) return;
      done = true;
      const changed = keep && field.value !== button.dataset.value && field.reportValidity();
      const card = field.closest('.question-card');
      field.replaceWith(button);
      if (changed) send(card, field.value);
    };
    field.addEventListener('blur', () => leave({ keep: true }));
    field.addEventListener('keydown', (event) => {
      if (event.key === 'Enter') leave({ keep: true });
      else if (event.key === 'Escape') leave({ keep: false });
      else return;
      event.preventDefault();
      event.stopPropagation();
      button.focus();
    });
  }
}
