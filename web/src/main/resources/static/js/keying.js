// The round of keys: one press sets the right option of a question and goes on to the next that has none.
export function attachKeying(root, { focused, focusCard, nextCard, clear }) {
  let on = false;
  let waiting = '';
  const strip = () => root.querySelector('[data-keying]');
  const open = () => [...root.querySelectorAll('.question-card[data-keyed=false]')];
  const takesSeveral = (card) => card.querySelectorAll('[data-key]').length > 0 && card.dataset.type !== 'single-choice'
    && card.dataset.type !== 'true-false';

  root.addEventListener('click', (event) => {
    if (event.target.closest('[data-keying-start]')) { event.preventDefault(); start(); }
    if (event.target.closest('[data-keying-end]')) end();
  });

  async function start() {
    [...document.getElementById('tally').getElementsByTagName('details')].forEach((drawer) => { drawer.open = false; });
    clear();
    on = true;
    waiting = '';
    if (focused()?.dataset.keyed !== 'false') await nextCard((card) => card.dataset.keyed === 'false');
    else focusCard(focused());
    focused()?.focus({ preventScroll: true });
    show();
  }

  function end() {
    on = false;
    waiting = '';
    strip().hidden = true;
    root.querySelector('[data-sheet]').focus();
  }

  function show() {
    const left = open().length;
    strip().hidden = false;
    strip().querySelector('[data-keying-left]').textContent = left === 0
      ? 'Every question has its key.'
      : `${left} ${left === 1 ? 'question' : 'questions'} without a key.`;
    strip().querySelector('[data-keying-how]').textContent = left === 0 ? '' : how(focused());
  }

  function how(card) {
    const count = card?.querySelectorAll('[data-key]').length ?? 0;
    if (card?.dataset.keyed !== 'false' && !(card && takesSeveral(card))) return '';
    if (count === 0) return 'Enter opens this one to type its answer, space passes it over.';
    const letters = `${letter(0)} to ${letter(count - 1)}`;
    return takesSeveral(card)
      ? `Press ${letters} for each right option, then Enter. Space passes it over.`
      : `Press ${letters} for the right option. Space passes it over.`;
  }

  const letter = (place) => String.fromCharCode(65 + place);

  function goOn() {
    waiting = '';
    const here = focused();
    return nextCard((card) => card.dataset.keyed === 'false' && card !== here).then(show);
  }

  /** Whether the key was one of the round's. */
  function take(event) {
    if (!on || event.ctrlKey || event.metaKey || event.altKey || event.target.closest('input, textarea, select')) return false;
    // A button in focus is pressed as everywhere.
    if ((event.key === ' ' || event.key === 'Enter') && event.target.closest('button, a, summary')) return false;
    const card = focused();
    const keys = [...(card?.querySelectorAll('[data-key]') ?? [])];
    const key = event.key.toLowerCase();
    const place = optionOf(card, keys.length, key);
    if (event.key === 'Escape') end();
    else if (key === ' ') goOn();
    else if (event.key === 'Enter' && keys.length === 0) { waiting = card.dataset.question; card.querySelector('[data-edit]').click(); }
    else if (event.key === 'Enter') goOn();
    else if (place >= 0) { waiting = takesSeveral(card) ? '' : card.dataset.question; keys[place].click(); }
    else return false;
    return true;
  }

  /** By its letter or number; of two to judge by also by the first letter of its word, "t". */
  function optionOf(card, count, key) {
    if (key.length !== 1 || count === 0) return -1;
    if (card.dataset.type === 'true-false') {
      const words = [...card.querySelectorAll('.question-card-option')].map((option) => option.lastElementChild.textContent.trim().toLowerCase());
      const named = words.findIndex((word) => word.startsWith(key));
      if (named >= 0) return named;
    }
    const place = /\d/.test(key) ? Number(key) - 1 : key.charCodeAt(0) - 97;
    return place >= 0 && place < count ? place : -1;
  }

  /** What was pressed has been answered: the next question, if this one has its key now. */
  function refresh() {
    if (!on) return;
    const card = focused();
    const answer = card?.querySelector('[name=answer]');
    if (waiting !== '' && answer && card.dataset.question === waiting) answer.focus();
    else if (waiting !== '' && card?.dataset.question === waiting && card.dataset.keyed === 'true') goOn();
    else show();
  }

  return { start, take, refresh };
}
