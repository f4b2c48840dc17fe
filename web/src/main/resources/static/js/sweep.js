// Chooses lines of the sheet by pressing and drawing over them, or with the arrow keys; htmx knows no selections.
// Which are chosen is kept here: an answer that comes late may bring their lines anew.
export function attachSweep(root, { changed, chosen, words }) {
  const sheet = root.querySelector('[data-sheet]');
  let start = 0;
  let cursor = 0;
  let range = null;

  const lineOf = (event) => event.target.closest?.('.sheet-line');
  const lines = () => (range ? Array.from({ length: range.high - range.low + 1 }, (_, at) => range.low + at) : []);
  const refresh = () => {
    [...sheet.getElementsByClassName('is-swept')].forEach((line) => {
      if (!range || line.dataset.line < range.low || line.dataset.line > range.high) line.classList.remove('is-swept');
    });
    lines().forEach((number) => document.getElementById(`line-${number}`)?.classList.add('is-swept'));
  };
  const choose = (from, to) => {
    range = { low: Math.min(from, to), high: Math.max(from, to) };
    cursor = to;
    refresh();
    changed();
  };

  sheet.addEventListener('pointerdown', (event) => {
    const line = lineOf(event);
    if (!line || event.button !== 0) return;
    const number = Number(line.dataset.line);
    root.querySelector('[data-words]').replaceChildren();
    if (!event.shiftKey || start === 0) start = number;
    choose(start, number);
    chosen(line);
    sheet.dataset.sweeping = 'true';
  });
  sheet.addEventListener('pointermove', (event) => {
    const line = lineOf(event);
    if (line && sheet.dataset.sweeping && event.buttons === 1) choose(start, Number(line.dataset.line));
  });
  sheet.addEventListener('dblclick', (event) => { if (lineOf(event)) words(); });
  window.addEventListener('pointerup', () => { delete sheet.dataset.sweeping; });
  sheet.addEventListener('keydown', (event) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
    event.preventDefault();
    const count = sheet.getElementsByClassName('sheet-line').length;
    const edge = event.key === 'ArrowDown' ? (range?.high ?? cursor) + 1 : (range?.low ?? cursor) - 1;
    const next = Math.min(count, Math.max(1, edge));
    if (!event.shiftKey || start === 0) start = next;
    choose(start, next);
    const line = document.getElementById(`line-${next}`);
    line.scrollIntoView({ block: 'nearest' });
    chosen(line);
  });

  return {
    lines,
    refresh,
    clear() {
      range = null;
      start = 0;
      refresh();
    },
  };
}
