import { heightOf, topIn } from './places.js';

// Keeps the window on the spine where the sheet stands, and moves the sheet when the spine is pressed or dragged.
export function followSpine(spine, sheet) {
  const mark = spine.querySelector('[data-spine-window]');
  const svg = spine.querySelector('svg');
  const lines = sheet.getElementsByClassName('sheet-line');
  const count = Number(spine.dataset.lines);
  if (count === 0) return;
  const pitch = svg.viewBox.baseVal.height / count;

  /** The place of the first line that reaches below a height of the sheet; lines stand in order, so half of them are left out each time. */
  const firstBelow = (height) => {
    let low = 0;
    let high = lines.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (topIn(sheet, lines[middle]) + heightOf(lines[middle]) > height) high = middle;
      else low = middle + 1;
    }
    return low;
  };
  const show = () => {
    const first = firstBelow(sheet.scrollTop);
    const last = firstBelow(sheet.scrollTop + sheet.clientHeight);
    mark.setAttribute('y', first * pitch);
    mark.setAttribute('height', Math.max(1, last - first) * pitch);
  };
  const jump = (event) => {
    const box = svg.getBoundingClientRect();
    const share = Math.min(1, Math.max(0, (event.clientY - box.top) / box.height));
    const number = Math.min(count, 1 + Math.floor(share * count));
    const line = document.getElementById(`line-${number}`);
    sheet.scrollTop = line ? topIn(sheet, line) - sheet.clientHeight / 3 : share * sheet.scrollHeight;
  };
  spine.addEventListener('pointerdown', (event) => {
    spine.setPointerCapture(event.pointerId);
    jump(event);
  });
  spine.addEventListener('pointermove', (event) => {
    if (spine.hasPointerCapture(event.pointerId)) jump(event);
  });
  sheet.addEventListener('scroll', show, { passive: true });
  show();
}
