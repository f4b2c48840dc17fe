import { heightOf, topIn } from './places.js';

// Keeps the window on the spine where the sheet stands, and moves the sheet when the spine is pressed or dragged.
export function followSpine(spine, sheet) {
  const mark = spine.querySelector('[data-spine-window]');
  const svg = spine.querySelector('svg');
  const lines = sheet.getElementsByClassName('sheet-line');
  const count = Number(spine.dataset.lines);
  if (count === 0) return;
  const pitch = svg.viewBox.baseVal.height / count;

  const below = (element, height) => topIn(sheet, element) + heightOf(element) > height;
  /** The place of the first of some elements that reaches below a height of the sheet; they stand in order, so half of them are left out each time. */
  const firstOf = (elements, height) => {
    let low = 0;
    let high = elements.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (below(elements[middle], height)) high = middle;
      else low = middle + 1;
    }
    return low;
  };
  /** Blocks far from view are not laid out; asking one of their lines for its place would do all that work. */
  const firstBelow = (height) => {
    const blocks = sheet.getElementsByClassName('sheet-block');
    if (blocks.length === 0) return firstOf(lines, height);
    const block = [...blocks].find((one) => below(one, height));
    const row = block?.children[firstOf(block.children, height)];
    const line = row?.matches('.sheet-row') ? row.querySelector('.sheet-line') : row;
    return line ? Number(line.dataset.line) - 1 : count;
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
