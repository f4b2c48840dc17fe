// Chooses questions to change several at once. Which are chosen is kept here, for cards come and go.
export function attachChosen(root, focused) {
  const chosen = new Set();
  let last = '';
  const form = () => root.querySelector('[data-many]');
  const cards = () => [...root.getElementsByClassName('question-card')].filter((card) => card.dataset.question);

  root.addEventListener('click', (event) => {
    const box = event.target.closest('[data-choose]');
    if (box) choose(box.closest('.question-card'), box.getAttribute('aria-checked') === 'false', event.shiftKey);
    if (event.target.closest('[data-several]')) show(form().hidden);
    if (event.target.closest('[data-many-all]')) set(() => true);
    if (event.target.closest('[data-many-none]')) set(() => false);
    if (event.target.closest('[data-many-type]')) set(like('type'));
    if (event.target.closest('[data-many-section]')) set(like('section'));
  });
  root.addEventListener('change', (event) => {
    if (event.target.name === 'change' && event.target.closest('[data-many]')) fields();
  });
  root.addEventListener('submit', (event) => {
    if (!event.target.matches('[data-many]')) return;
    event.preventDefault();
    if (chosen.size === 0) return;
    const change = form().elements.change.value;
    const value = form().querySelector('[data-for]:not([hidden])')?.value ?? '';
    const leaf = root.querySelector('[data-leaf]').dataset.leaf;
    htmx.ajax('POST', `/leaf/${leaf}/many/${change}`, {
      source: root.querySelector('[data-panes]'),
      target: '#changes',
      swap: 'innerHTML',
      values: { questions: [...chosen].join(','), value },
    });
  });

  function like(what) {
    const examples = new Set((chosen.size > 0 ? cards().filter((card) => chosen.has(card.dataset.question)) : [focused()])
      .filter(Boolean).map((card) => card.dataset[what]));
    return (card) => examples.has(card.dataset[what]);
  }

  function choose(card, on, range) {
    const all = cards();
    const ends = [all.findIndex((one) => one.dataset.question === last), all.indexOf(card)].sort((a, b) => a - b);
    const some = range && ends[0] >= 0 ? all.slice(ends[0], ends[1] + 1) : [card];
    some.forEach((one) => chosen[on ? 'add' : 'delete'](one.dataset.question));
    last = card.dataset.question;
    refresh();
  }

  function set(matches) {
    const wanted = cards().filter(matches).map((card) => card.dataset.question);
    chosen.clear();
    wanted.forEach((id) => chosen.add(id));
    refresh();
  }

  function show(shown) {
    form().hidden = !shown;
    root.dataset.choosing = String(shown);
    if (!shown) set(() => false);
    else fields();
  }

  function fields() {
    const change = form().elements.change.value;
    [...form().querySelectorAll('[data-for]')].forEach((field) => {
      field.hidden = !field.dataset.for.split(' ').includes(change);
    });
  }

  /** Shows what is chosen on cards that may be new. */
  function refresh() {
    const all = cards();
    const there = new Set(all.map((card) => card.dataset.question));
    [...chosen].filter((id) => !there.has(id)).forEach((id) => chosen.delete(id));
    all.forEach((card) => {
      const box = card.querySelector('[data-choose]');
      box?.setAttribute('aria-checked', String(chosen.has(card.dataset.question)));
      card.classList.toggle('is-chosen', chosen.has(card.dataset.question));
    });
    if (chosen.size > 0 && form().hidden) show(true);
    form().querySelector('[data-many-count]').textContent = chosen.size;
    form().querySelector('.action-main').disabled = chosen.size === 0;
  }

  return {
    toggle: (card) => choose(card, !chosen.has(card.dataset.question), false),
    refresh: () => { if (chosen.size > 0 || !form().hidden || root.dataset.choosing === 'true') refresh(); },
  };
}
