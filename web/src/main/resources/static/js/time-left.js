// Shows the time left; the server's clock decides, so the page asks it again when its own count is over.
const form = document.querySelector('[data-left]');
const line = document.querySelector('[data-time-left]');
const MINUTE = 60000;
const WARNING = 5 * MINUTE;
const end = performance.now() + Number(form.dataset.left);
let over = false;

function tick() {
  const left = Math.max(0, end - performance.now());
  const minutes = Math.floor(left / MINUTE);
  const seconds = String(Math.floor((left % MINUTE) / 1000)).padStart(2, '0');
  line.textContent = left >= 60 * MINUTE ? `${minutes} min left` : `${minutes}:${seconds} left`;
  line.classList.toggle('time-left-short', left < WARNING);
  if (left === 0 && !over) {
    over = true;
    form.dispatchEvent(new CustomEvent('save-again'));
    window.setTimeout(() => window.location.reload(), 7000);
  }
}

tick();
window.setInterval(tick, 1000);
