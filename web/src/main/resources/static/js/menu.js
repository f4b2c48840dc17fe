// The one menu of all questions: it opens beside the question whose "more" was pressed.
export function attachMenu(root, { send, show }) {
  const menu = () => root.querySelector('[data-menu]');

  root.addEventListener('click', (event) => {
    const more = event.target.closest('[data-more]');
    const item = event.target.closest('[data-act], [data-open]');
    if (more && more.getAttribute('aria-expanded') === 'false') return open(more);
    const opener = root.querySelector('[data-more][aria-expanded=true]');
    if (item?.dataset.act && opener) send(opener.closest('.question-card'), item.dataset.act);
    if (item?.dataset.open && opener) show(opener.closest('.question-card'), item.dataset.open);
    close();
  });
  root.addEventListener('keydown', (event) => {
    if (!event.target.closest('[data-menu]')) return;
    const items = [...menu().children];
    const at = items.indexOf(event.target);
    if (event.key === 'ArrowDown') items[(at + 1) % items.length].focus();
    else if (event.key === 'ArrowUp') items.at(at - 1).focus();
    else if (event.key === 'Escape') close({ back: true });
    else return;
    event.preventDefault();
    event.stopPropagation();
  });

  function open(more) {
    close();
    const place = more.getBoundingClientRect();
    menu().hidden = false;
    menu().style.left = `${place.left}px`;
    menu().style.top = `${Math.min(place.bottom, innerHeight - menu().offsetHeight - 8)}px`;
    more.setAttribute('aria-expanded', 'true');
    menu().firstElementChild.focus();
  }

  function close({ back = false } = {}) {
    const more = root.querySelector('[data-more][aria-expanded=true]');
    if (!more) return;
    more.setAttribute('aria-expanded', 'false');
    menu().hidden = true;
    if (back) more.focus();
  }
}
