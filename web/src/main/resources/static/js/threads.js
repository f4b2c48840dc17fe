// Draws the lines that join the focused question's parts to their places in the source; no markup can span two panes.
const SVG = 'http://www.w3.org/2000/svg';

/** All places are read before anything is drawn: each drawing in between would have the whole page laid out anew. */
export function drawThreads(root, card) {
  const canvas = root.querySelector('[data-threads]');
  canvas.replaceChildren(...(card && card.offsetParent !== null ? threads(root, canvas, card) : []));
}

function threads(root, canvas, card) {
  const frame = canvas.getBoundingClientRect();
  const sheet = root.querySelector('[data-sheet]').getBoundingClientRect();
  const questions = root.querySelector('[data-questions]').getBoundingClientRect();
  return [...card.querySelectorAll('[data-thread]')].flatMap((end) => {
    const line = document.getElementById(`line-${end.dataset.line}`);
    return line ? thread(frame, sheet, questions, line.getBoundingClientRect(), end.getBoundingClientRect()) : [];
  });
}

function thread(frame, sheet, questions, from, to) {
  const y1 = from.top + Math.min(from.height, 24) / 2;
  const y2 = to.top + Math.min(to.height, 24) / 2;
  const outside = y1 < sheet.top || y1 > sheet.bottom || y2 < questions.top || y2 > questions.bottom;
  if (outside) return [];
  const x1 = sheet.right - frame.left;
  const x2 = questions.left - frame.left - 1;
  const middle = (x1 + x2) / 2;
  const path = document.createElementNS(SVG, 'path');
  const a = y1 - frame.top;
  const b = y2 - frame.top;
  path.setAttribute('d', `M${x1} ${a}C${middle} ${a} ${middle} ${b} ${x2} ${b}`);
  return [path, dot(x1, a), dot(x2, b)];
}

function dot(x, y) {
  const circle = document.createElementNS(SVG, 'circle');
  circle.setAttribute('cx', x);
  circle.setAttribute('cy', y);
  circle.setAttribute('r', 3);
  return circle;
}
