// Ties the parts of the review together: what is in focus, and which key does what. All state is in the page itself.
import { drawThreads } from './threads.js';
import { heightOf, topIn } from './places.js';
import { followSpine } from './spine.js';
import { attachChosen } from './chosen.js';
import { attachKeying } from './keying.js';
import { attachOptions } from './options.js';
import { attachMenu } from './menu.js';
import { attachFormula } from './formula.js';
import { attachPictures } from './pictures.js';
import { attachPoints } from './points.js';
import { attachPanels } from './panels.js';
import { fetchRest } from './rest.js';
import { attachUnsent } from './unsent.js';
import { attachWords, chosenWords, closeWords } from './words.js';
import { attachSweep } from './sweep.js';

const root = document.querySelector('[data-review]');
const ROLE_KEYS = {
  s: 'STEM', o: 'OPTION', k: 'KEY', p: 'STIMULUS', h: 'SECTION', g: 'MORE', x: 'ASIDE', a: 'FEEDBACK', t: 'HINT',
  d: 'POINTS', i: 'INSTRUCTION', m: 'PAIR', b: 'WORDS', r: 'ROW', c: 'FIGURE', l: 'TITLE',
};
let focusedId = '';
let sweep = null;

const part = (name) => root.querySelector(`[data-${name}]`);
const base = () => `/leaf/${root.querySelector('[data-leaf]').dataset.leaf}`;
const cards = () => [...root.querySelectorAll('.question-card')];

function focusCard(card, { scrollCard = true, scrollSheet = true } = {}) {
  if (!card) return;
  focusedId = card.dataset.question;
  [...root.getElementsByClassName('question-card is-focused')].forEach((other) => {
    if (other !== card) other.classList.remove('is-focused');
  });
  card.classList.add('is-focused');
  markLines(card, scrollSheet);
  if (scrollCard) reveal(part('questions'), card);
  drawThreads(root, card);
}

function markLines(card, scroll) {
  const own = new Set(root.querySelectorAll(`.sheet-line[data-question="${CSS.escape(card.dataset.question)}"]`));
  [...root.getElementsByClassName('is-focused-line')].forEach((line) => {
    if (!own.has(line)) line.classList.remove('is-focused-line');
  });
  own.forEach((line) => line.classList.add('is-focused-line'));
  const [first] = own;
  if (scroll && first) reveal(part('sheet'), first);
}

/** Brings an element to the upper third of its pane, unless it stands well in view. */
function reveal(pane, element) {
  const top = topIn(pane, element);
  const bottom = top + Math.min(heightOf(element), pane.clientHeight / 2);
  if (top < pane.scrollTop + 20 || bottom > pane.scrollTop + pane.clientHeight - 40) {
    pane.scrollTop = Math.max(0, top - pane.clientHeight / 4);
  }
}

function focused() {
  return document.getElementById(`question-card-${focusedId}`);
}

function step(by) {
  const all = cards();
  const at = all.findIndex((card) => card.dataset.question === focusedId);
  focusCard(all[Math.min(all.length - 1, Math.max(0, at + by))]);
}

/** The next of some elements behind the focused card, going round at the end. */
async function nextCard(matches) {
  if (!isWhole) await whole;
  const all = cards();
  const at = all.findIndex((card) => card.dataset.question === focusedId);
  const order = [...all.slice(at + 1), ...all.slice(0, at + 1)];
  focusCard(order.find(matches));
}

function nextAside() {
  const lines = [...root.querySelectorAll('.sheet-line-aside')];
  const sheet = part('sheet');
  const below = lines.find((line) => topIn(sheet, line) > sheet.scrollTop + sheet.clientHeight / 4 + 4);
  const line = below ?? lines[0];
  if (line) sheet.scrollTop = topIn(sheet, line) - sheet.clientHeight / 4;
}

function showLine(number) {
  const line = document.getElementById(`line-${number}`);
  if (!line) return;
  reveal(part('sheet'), line);
  line.classList.add('is-shown');
  setTimeout(() => line.classList.remove('is-shown'), 1600);
}

function pin(role) {
  const words = chosenWords(root);
  const lines = sweep.lines();
  if (words && role !== 'MORE') {
    send('words-form', { ...words, role });
    closeWords(root, brushChanged);
  } else if (lines.length > 0) {
    send('pin-form', { lines: lines.join(','), role: role === 'MORE' ? 'STEM' : role, more: role === 'MORE' });
    sweep.clear();
    brushChanged();
  }
  showMoreRoles(false);
}

function send(id, values) {
  const form = document.getElementById(id);
  Object.entries(values).forEach(([name, value]) => { form.elements[name].value = value; });
  form.dispatchEvent(new CustomEvent('pin'));
}

function openWords() {
  const [line] = sweep.lines();
  if (!line) return;
  htmx.ajax('GET', `${base()}/words/${line}`, { source: part('words'), target: '#words', swap: 'innerHTML' });
}

function showMoreRoles(shown) {
  part('more-list').hidden = !shown;
  part('more-roles').setAttribute('aria-expanded', String(shown));
}

function brushChanged() {
  const count = sweep.lines().length;
  const words = chosenWords(root);
  [...root.getElementsByClassName('brush-role')].forEach((button) => {
    button.disabled = count === 0 || (words !== null && button.dataset.role === 'MORE');
  });
  part('open-words').disabled = count !== 1;
  part('brush-words').textContent = sweptWords(count, words);
}

function sweptWords(count, words) {
  if (words) return 'These words are:';
  if (count === 0) return 'Choose lines:';
  return count === 1 ? '1 line is:' : `${count} lines are:`;
}

function onKey(event) {
  if ([...root.getElementsByTagName('dialog')].some((dialog) => dialog.open)) return;
  if (keying.take(event)) { event.preventDefault(); return; }
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return event.target.closest('.card-form')?.requestSubmit();
  if (event.ctrlKey || event.metaKey || event.altKey || event.target.closest('input, textarea, select')) {
    if (event.key === 'Escape') event.target.closest('[data-editing]')?.querySelector('[data-leave]').click();
    return;
  }
  const key = event.key.toLowerCase();
  if (ROLE_KEYS[key] && sweep.lines().length > 0) pin(ROLE_KEYS[key]);
  else if (key === 'w') openWords();
  else if (key === 'n') nextCard((card) => card.querySelector('[data-snag]'));
  else if (key === 'z') part('undo').click();
  else if (key === 'y') part('redo').click();
  else if (key === 'f') panels.openFind();
  else if (event.key === '?') root.querySelector('[data-shortcuts]').showModal();
  else if (key === 'j') step(1);
  else if (key === 'k') step(-1);
  else if (key === 'q') keying.start();
  else if (key === 'v') { if (focused()) chosen.toggle(focused()); }
  else if (key === 'e') focused()?.querySelector('[data-edit]')?.click();
  else if (key === 'escape') { sweep.clear(); showMoreRoles(false); closeWords(root, brushChanged); }
  else if (/^[1-9]$/.test(key)) focused()?.querySelectorAll('[data-key]')[Number(key) - 1]?.click();
  else return;
  event.preventDefault();
}

function onClick(event) {
  const role = event.target.closest('[data-role]');
  if (role) return pin(role.dataset.role);
  if (event.target.closest('[data-open-words]')) return openWords();
  showMoreRoles(Boolean(event.target.closest('[data-more-roles]')) && part('more-list').hidden);
  if (event.target.closest('[data-next-snag]')) { event.preventDefault(); return nextCard((c) => c.querySelector('[data-snag]')); }
  if (event.target.closest('[data-next-unkeyed]')) { event.preventDefault(); return nextCard((c) => c.dataset.keyed === 'false'); }
  const shown = event.target.closest('[data-show-line]');
  if (shown) { event.preventDefault(); return showLine(Number(shown.dataset.showLine)); }
  if (event.target.closest('[data-next-aside]')) { event.preventDefault(); return nextAside(); }
  const card = event.target.closest('.question-card');
  if (card && !event.target.closest('[data-delete]')) focusCard(card, { scrollCard: false });
}

function attachPanes() {
  const sheet = part('sheet');
  const questions = part('questions');
  const redraw = () => drawThreads(root, focused());
  sheet.addEventListener('scroll', redraw, { passive: true });
  questions.addEventListener('scroll', redraw, { passive: true });
  followSpine(part('spine'), sheet);
  sweep = attachSweep(root, {
    changed: brushChanged,
    words: openWords,
    chosen(line) {
      const card = cards().find((c) => c.dataset.question === line.dataset.question);
      if (card) focusCard(card, { scrollSheet: false });
    },
  });
}

const panels = attachPanels(root);
attachOptions(root);
const chosen = attachChosen(root, focused);
const keying = attachKeying(root, { focused, focusCard, nextCard, clear: () => { sweep.clear(); brushChanged(); } });
attachUnsent(root);
attachWords(root, { changed: brushChanged });
attachPictures(root);
attachPoints(root, (card, points) => {
  const path = `${base()}/question/${card.dataset.question}/points`;
  htmx.ajax('POST', path, { source: part('panes'), target: '#changes', swap: 'innerHTML', values: { points } });
});
attachFormula(root);
attachMenu(root, {
  send(card, act) {
    const path = act === 'below'
      ? `${base()}/add?after=${card.dataset.question}`
      : `${base()}/question/${card.dataset.question}/${act}`;
    htmx.ajax('POST', path, { source: part('panes'), target: '#changes', swap: 'innerHTML' });
  },
  show(card, what) {
    const path = `${base()}/question/${card.dataset.question}/${what}`;
    htmx.ajax('GET', path, { source: part('panes'), target: '#panel-inside', swap: 'innerHTML' });
  },
});
document.addEventListener('keydown', onKey);
root.addEventListener('click', onClick);
root.addEventListener('focusin', (event) => {
  const card = event.target.closest('.question-card');
  if (card && card.dataset.question !== focusedId) focusCard(card, { scrollCard: false });
});
window.addEventListener('resize', () => drawThreads(root, focused()));

let whole = Promise.resolve();
let isWhole = false;
let sent = null;
// Only a page that is there as a whole can be changed in part.
document.body.addEventListener('htmx:confirm', (event) => {
  if (isWhole || event.detail.verb !== 'post') return;
  event.preventDefault();
  whole.then(() => event.detail.issueRequest(true));
});
document.body.addEventListener('htmx:beforeRequest', (event) => {
  sent = event.detail.elt.closest?.('[data-editing]');
});
// What others changed does not take the place of a form somebody types in.
document.body.addEventListener('htmx:oobBeforeSwap', (event) => {
  const form = event.detail.target.querySelector('[data-editing]');
  if (form && form !== sent) event.detail.shouldSwap = false;
});
document.body.addEventListener('htmx:afterRequest', (event) => {
  if (event.detail.target?.dataset?.rest || event.detail.xhr.status === 204) return;
  if (!part('panes').dataset.attached) attach();
  const card = focused();
  if (card) focusCard(card, { scrollCard: false, scrollSheet: false });
  sweep.refresh();
  brushChanged();
  chosen.refresh();
  // Not by autofocus: htmx sees to that a moment later, and would take the place of who types already.
  if (!document.activeElement?.closest('[data-editing]')) card?.querySelector('[data-begins]')?.focus();
  keying.refresh();
});

function attach() {
  part('panes').dataset.attached = 'true';
  attachPanes();
  brushChanged();
  isWhole = false;
  whole = fetchRest(root).then(() => {
    isWhole = true;
    root.dataset.whole = 'true';
  });
}

attach();
// Pictures that arrive late move what is below them; once the teacher works, nothing moves by itself any more.
const SETTLING_MILLISECONDS = 2500;
root.addEventListener('load', () => {
  if (performance.now() < SETTLING_MILLISECONDS) focusCard(focused());
}, { capture: true });
const wanted = location.hash.startsWith('#question-card-') ? location.hash.slice(1) : '';
const first = () => document.getElementById(wanted) ?? cards().find((card) => card.querySelector('[data-snag]')) ?? cards()[0];
focusCard(first());
if (wanted && !document.getElementById(wanted)) whole.then(() => focusCard(first()));
