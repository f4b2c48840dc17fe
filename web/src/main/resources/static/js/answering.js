// What makes answering easier, in the proof as in a sitting. Everything works without it, by fields alone.
import { attachBanks } from './bank.js';
import { attachOrders } from './order.js';
import { attachZoom } from './zoom.js';

const form = document.querySelector('[data-answers], [data-saving]');

attachBanks(form);
attachOrders(form);
attachZoom(document);

for (const area of form.querySelectorAll('[data-count-words]')) {
  const count = document.createElement('p');
  count.className = 'answer-card-hint';
  area.after(count);
  const show = () => {
    const words = area.value.trim().split(/\s+/).filter(Boolean).length;
    const least = Number(area.dataset.least || 0);
    const most = Number(area.dataset.most || 0);
    const left = words < least ? `, ${least - words} more to go` : most > 0 && words > most ? `, ${words - most} too many` : '';
    count.textContent = (words === 1 ? '1 word' : `${words} words`) + left;
    count.classList.toggle('is-over', most > 0 && words > most);
  };
  area.addEventListener('input', show);
  show();
}

function isAnswered(card) {
  return [...card.querySelectorAll('input, select, textarea')]
    .filter((field) => !field.name.startsWith('flag:'))
    .some((field) => (['radio', 'checkbox'].includes(field.type) ? field.checked : field.value.trim() !== ''));
}

function progress() {
  const cards = [...form.querySelectorAll('[data-card]')];
  const answered = cards.filter(isAnswered);
  cards.forEach((card) => {
    const step = form.querySelector(`[data-walk="${CSS.escape(card.dataset.card)}"]`);
    step?.classList.toggle('is-answered', answered.includes(card));
    step?.classList.toggle('is-flagged', Boolean(card.querySelector('.flag input')?.checked));
  });
  const line = form.querySelector('[data-progress]');
  if (line) line.textContent = `${answered.length} of ${cards.length} answered`;
}

form.addEventListener('input', progress);
form.addEventListener('change', progress);
// What was answered before the page listened counts too.
progress();
