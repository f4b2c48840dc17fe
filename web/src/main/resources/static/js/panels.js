// Opens and closes the panels over the review: history, find and replace, the list of keys.
export function attachPanels(root) {
  const find = root.querySelector('[data-find-panel]');

  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-find]')) openFind();
    if (event.target.closest('[data-keys]')) root.querySelector('[data-shortcuts]').showModal();
    const menu = event.target.closest('[data-menu]');
    root.querySelectorAll('[data-menu][open]').forEach((other) => { if (other !== menu) other.open = false; });
    const drawer = event.target.closest('.tally details');
    root.querySelectorAll('.tally details[open]').forEach((other) => { if (other !== drawer) other.open = false; });
  });
  document.body.addEventListener('htmx:afterSwap', (event) => {
    if (event.detail.target.id === 'panel-inside') root.querySelector('[data-panel]').showModal();
    if (event.detail.target.id === 'workspace' && find.open) find.close();
  });

  function openFind() {
    find.showModal();
    find.querySelector('[name=wanted]').focus();
  }
  return { openFind };
}
