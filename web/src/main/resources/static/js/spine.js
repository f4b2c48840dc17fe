import { heightOf, topIn } from './places.js';

// Keeps the window on the spine where the sheet stands, and moves the sheet when the spine is pressed or dragged.
export function followSpine(spine, sheet) {
  const mark = spine.querySelector('[data-spine-window]');
  const svg = spine.querySelector('svg');
  const lines = [...sheet.querySelectorAll('.sheet-line')];
  if (lines.length === 0) return;
  const units = svg.viewBox.baseVal.height;
  const pitch = units / lines.length;

  const show = () => {
    const first = lines.findIndex((line) => topIn(sheet, line) + heightOf(line) > sheet.scrollTop);
    const bottom = sheet.scrollTop + sheet.clientHeight;
    const behind = lines.findIndex((line) => topIn(sheet, line) > bottom);
    const last = behind < 0 ? lines.length : behind;
    mark.setAttribute('y', Math.max(0, first) * pitch);
    mark.setAttribute('height', Math.max(1, last - Math.max(0, first)) * pitch);
  };
  const jump = (event) => {
    const box = svg.getBoundingClientRect();
    const share = Math.min(1, Math.max(0, (event.clientY - box.top) / box.height));
    const line = lines[Math.min(lines.length - 1, Math.floor(share * lines.length))];
    sheet.scrollTop = topIn(sheet, line) - sheet.clientHeight / 3;
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
