// Chooses words within one line: press the first, then the last, or draw over them; arrows move, with Shift they choose.
export function attachWords(root, { changed }) {
  const place = () => root.querySelector('[data-words]');
  const words = () => [...place().querySelectorAll('.line-word')];
  let start = null;

  function choose(word) {
    const all = words();
    const [low, high] = [all.indexOf(start), all.indexOf(word)].sort((a, b) => a - b);
    all.forEach((one, at) => one.setAttribute('aria-pressed', String(at >= low && at <= high)));
    changed();
  }

  root.addEventListener('pointerdown', (event) => {
    const word = event.target.closest('.line-word');
    if (!word) return;
    const pressed = words().filter((one) => one.getAttribute('aria-pressed') === 'true');
    if (pressed.length !== 1 || !start?.isConnected) start = word;
    choose(word);
  });
  root.addEventListener('pointerover', (event) => {
    const word = event.target.closest('.line-word');
    if (word && event.buttons === 1 && start?.isConnected) choose(word);
  });
  root.addEventListener('keydown', (event) => {
    const word = event.target.closest('.line-word');
    if (!word) return;
    const all = words();
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by) {
      const next = all[Math.min(all.length - 1, Math.max(0, all.indexOf(word) + by))];
      next.focus();
      if (!event.shiftKey || !start?.isConnected) start = next;
      choose(next);
    } else if (event.key === 'Escape') closeWords(root, changed);
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-close-words]')) closeWords(root, changed);
    const word = event.target.closest('.line-word');
    // Pressed by keyboard: a pointer has chosen already.
    if (word && event.detail === 0) { start = word; choose(word); }
  });
  document.body.addEventListener('htmx:afterSwap', (event) => {
    if (event.detail.target.id !== 'words') return;
    start = null;
    words()[0]?.focus();
    changed();
  });
}

/** The chosen words: their line and where they stand in it; null where none are. */
export function chosenWords(root) {
  const chosen = [...root.querySelectorAll('.line-word[aria-pressed=true]')];
  if (chosen.length === 0) return null;
  return {
    line: chosen[0].parentElement.dataset.wordsLine,
    from: chosen[0].dataset.from,
    to: chosen.at(-1).dataset.to,
  };
}

export function closeWords(root, changed) {
  root.querySelector('[data-words]').replaceChildren();
  root.querySelector('[data-sheet]').focus();
  changed();
}
