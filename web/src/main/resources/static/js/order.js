// Puts items in order by dragging, or by buttons; the fields behind say each item's place and are what is sent.
export function attachOrders(form) {
  form.querySelectorAll('[data-kind=order] .parts').forEach(attach);
}

function attach(list) {
  list.classList.add('order-list');
  const items = () => [...list.children];
  const place = (item) => item.querySelector('select');

  items().forEach((item) => {
    const words = item.querySelector('label').textContent.trim();
    item.insertAdjacentHTML('beforeend', '<span class="order-buttons"><button type="button" class="order-button" data-by="-1">↑</button><button type="button" class="order-button" data-by="1">↓</button></span>');
    item.querySelector('[data-by="-1"]').setAttribute('aria-label', `Up: ${words}`);
    item.querySelector('[data-by="1"]').setAttribute('aria-label', `Down: ${words}`);
  });
  byPlaces();

  function byPlaces() {
    if (items().some((item) => place(item).value === '')) return;
    items().sort((a, b) => place(a).value - place(b).value).forEach((item) => list.append(item));
  }

  function places() {
    items().forEach((item, at) => { place(item).value = String(at); });
    list.dispatchEvent(new Event('change', { bubbles: true }));
  }

  list.addEventListener('click', (event) => {
    const button = event.target.closest('[data-by]');
    if (!button) return;
    const item = button.closest('[data-part]');
    if (button.dataset.by === '-1') item.previousElementSibling?.before(item);
    else item.nextElementSibling?.after(item);
    button.focus();
    places();
  });
  list.addEventListener('change', (event) => { if (event.target.matches('select')) byPlaces(); });

  let moved = null;
  list.addEventListener('pointerdown', (event) => {
    if (event.button !== 0 || event.target.closest('select, button')) return;
    moved = event.target.closest('[data-part]');
    if (!moved) return;
    event.preventDefault();
    moved.classList.add('is-moved');
    list.setPointerCapture(event.pointerId);
  });
  list.addEventListener('pointermove', (event) => {
    if (!moved) return;
    const over = items().find((item) => {
      const box = item.getBoundingClientRect();
      return event.clientY >= box.top && event.clientY <= box.bottom;
    });
    if (!over || over === moved) return;
    const above = items().indexOf(over) < items().indexOf(moved);
    if (above) over.before(moved);
    else over.after(moved);
  });
  list.addEventListener('pointerup', () => {
    if (!moved) return;
    moved.classList.remove('is-moved');
    moved = null;
    places();
  });
  list.addEventListener('pointercancel', () => { moved?.classList.remove('is-moved'); moved = null; });
}
