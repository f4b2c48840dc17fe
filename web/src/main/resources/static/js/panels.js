// Opens and closes the panels over the review: history, find and replace, the list of keys.
export function attachPanels(root) {
  const find = root.querySelector('[data-find-panel]');

  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-find]')) openFind();
    if (event.target.closest('[data-keys]')) root.querySelector('[data-shortcuts]').showModal();
    const drawer = event.target.closest('.tally details, .heading-edit');
    [...document.getElementById('tally').getElementsByTagName('details')].forEach((other) => { if (other !== drawer) other.open = false; });
  });
  document.body.addEventListener('htmx:afterSwap', (event) => {
    const panel = root.querySelector('[data-panel]');
    if (event.detail.target.id === 'panel-inside' && !panel.open) panel.showModal();
    if (event.detail.target.id === 'changes' && event.detail.requestConfig.verb === 'post') {
      [...root.getElementsByTagName('dialog')].forEach((dialog) => dialog.close());
    }
  });

  function openFind() {
    find.showModal();
    find.querySelector('[name=wanted]').focus();
  }
  return { openFind };
}
