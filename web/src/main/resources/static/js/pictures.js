// Draws over a picture what is to stay of it; the four numbers beside it say the same and can be typed.
export function attachPictures(root) {
  let start = null;

  const frameOf = (event) => event.target.closest?.('[data-crop]');
  const place = (frame, event) => {
    const box = frame.getBoundingClientRect();
    const share = (at, from, size) => Math.round(Math.min(1, Math.max(0, (at - from) / size)) * 100);
    return { x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) };
  };

  root.addEventListener('pointerdown', (event) => {
    const frame = frameOf(event);
    if (!frame) return;
    event.preventDefault();
    start = place(frame, event);
    frame.setPointerCapture(event.pointerId);
  });
  root.addEventListener('pointermove', (event) => {
    const frame = frameOf(event);
    if (!frame || !start || event.buttons !== 1) return;
    const now = place(frame, event);
    const fields = formOf(frame).elements;
    fields.left.value = Math.min(start.x, now.x);
    fields.right.value = 100 - Math.max(start.x, now.x);
    fields.top.value = Math.min(start.y, now.y);
    fields.bottom.value = 100 - Math.max(start.y, now.y);
    draw(formOf(frame));
  });
  root.addEventListener('pointerup', () => { start = null; });
  root.addEventListener('input', (event) => {
    const form = event.target.closest('[data-crop-form]');
    if (form) draw(form);
  });
}

const formOf = (frame) => frame.closest('.picture-edit').querySelector('[data-crop-form]');

function draw(form) {
  const window = form.closest('.picture-edit').querySelector('[data-crop-window]');
  const value = (name) => Number(form.elements[name].value) || 0;
  window.setAttribute('x', value('left'));
  window.setAttribute('y', value('top'));
  window.setAttribute('width', Math.max(0, 100 - value('left') - value('right')));
  window.setAttribute('height', Math.max(0, 100 - value('top') - value('bottom')));
}
