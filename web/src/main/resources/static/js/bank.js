// Shows what there is to choose from as chips: drag one to its place, or press it and then the place.
export function attachBanks(form) {
  form.querySelectorAll('[data-kind=match], [data-kind=gap-match], [data-kind=picture-label]').forEach((card) => {
    const places = [...card.querySelectorAll('select')];
    if (places.length > 0) attach(card, places);
  });
}

function attach(card, places) {
  const bank = document.createElement('div');
  bank.className = 'word-bank';
  bank.setAttribute('role', 'group');
  bank.setAttribute('aria-label', 'To choose from');
  const shown = card.querySelector('[data-choices]');
  [...places[0].options].filter((option) => option.value !== '').forEach((option, at) => {
    const chip = document.createElement('button');
    chip.type = 'button';
    chip.className = 'word-chip';
    if (shown) chip.append(...shown.children[at].cloneNode(true).childNodes);
    else chip.textContent = option.textContent;
    chip.dataset.value = option.value;
    chip.setAttribute('aria-pressed', 'false');
    bank.append(chip);
  });
  card.querySelector('legend').after(bank);
  if (shown) shown.hidden = true;
  const chips = [...bank.children];
  let picked = null;
  let ghost = null;

  function pick(chip) {
    picked = chip;
    chips.forEach((one) => one.setAttribute('aria-pressed', String(one === chip)));
  }

  function put(place) {
    place.value = picked.dataset.value;
    pick(null);
    place.dispatchEvent(new Event('change', { bubbles: true }));
    place.dispatchEvent(new Event('input', { bubbles: true }));
  }

  function used() {
    const values = new Set(places.map((place) => place.value));
    chips.forEach((chip) => chip.classList.toggle('is-used', values.has(chip.dataset.value)));
  }

  const placeAt = (event) => places.find((place) => {
    const box = (place.closest('[data-part]') ?? place).getBoundingClientRect();
    return event.clientX >= box.left && event.clientX <= box.right && event.clientY >= box.top && event.clientY <= box.bottom;
  });

  bank.addEventListener('click', (event) => {
    const chip = event.target.closest('.word-chip');
    if (chip && event.detail === 0) pick(picked === chip ? null : chip);
  });
  bank.addEventListener('pointerdown', (event) => {
    const chip = event.target.closest('.word-chip');
    if (!chip || event.button !== 0) return;
    event.preventDefault();
    pick(picked === chip ? null : chip);
    if (!picked) return;
    ghost = chip.cloneNode(true);
    ghost.classList.add('word-ghost');
    bank.setPointerCapture(event.pointerId);
  });
  bank.addEventListener('pointermove', (event) => {
    if (!ghost || event.buttons !== 1) return;
    if (!ghost.isConnected) document.body.append(ghost);
    ghost.style.left = `${event.clientX}px`;
    ghost.style.top = `${event.clientY}px`;
  });
  bank.addEventListener('pointerup', (event) => {
    const dragged = Boolean(ghost?.isConnected);
    ghost?.remove();
    ghost = null;
    const place = dragged && placeAt(event);
    if (place && picked) put(place);
  });
  bank.addEventListener('pointercancel', () => { ghost?.remove(); ghost = null; });
  card.addEventListener('pointerdown', (event) => {
    if (!picked || event.target.closest('.word-bank')) return;
    const place = placeAt(event);
    if (!place) return;
    event.preventDefault();
    put(place);
  });
  card.addEventListener('keydown', (event) => {
    if (picked && event.target.matches('select') && (event.key === 'Enter' || event.key === ' ')) {
      event.preventDefault();
      put(event.target);
    }
  });
  card.addEventListener('change', used);
  used();
}
