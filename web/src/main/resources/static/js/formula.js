// Shows a text with its formulas set, beside the field it is typed in, while it is typed.
const WAIT_MILLISECONDS = 250;

export function attachFormula(root) {
  let waiting = 0;
  root.addEventListener('input', (event) => {
    const field = event.target.closest('[data-formulas]');
    if (!field) return;
    clearTimeout(waiting);
    waiting = setTimeout(() => show(field), WAIT_MILLISECONDS);
  });
  root.addEventListener('focusin', (event) => {
    const field = event.target.closest('[data-formulas]');
    if (field) show(field);
  });

  async function show(field) {
    const view = field.closest('form').querySelector('[data-formula-view]');
    if (!/\\\(|\*\*/.test(field.value)) {
      view.hidden = true;
      return;
    }
    const leaf = root.querySelector('[data-leaf]').dataset.leaf;
    const response = await fetch(`/leaf/${leaf}/preview?${new URLSearchParams({ text: field.value })}`);
    if (!response.ok || !field.isConnected) return;
    view.innerHTML = await response.text();
    view.hidden = false;
  }
}
