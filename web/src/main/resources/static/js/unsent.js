// Keeps what could not be sent for want of a connection, says so, and sends it in order when the connection is back.
export function attachUnsent(root) {
  const waiting = [];
  const notice = root.querySelector('[data-offline]');
  const news = root.querySelector('[data-news]');

  document.body.addEventListener('htmx:sendError', (event) => {
    const { verb, path, parameters } = event.detail.requestConfig;
    if (verb === 'post') waiting.push({ path, values: parameters });
    notice.hidden = false;
  });
  document.body.addEventListener('htmx:afterRequest', async (event) => {
    if (event.detail.elt !== news || !event.detail.successful || notice.hidden) return;
    notice.hidden = true;
    while (waiting.length > 0 && notice.hidden) {
      const { path, values } = waiting.shift();
      values.seen = document.getElementById('seen').value;
      await htmx.ajax('POST', path, { source: root.querySelector('#workspace'), target: '#changes', swap: 'innerHTML', values });
    }
  });
  window.addEventListener('beforeunload', (event) => {
    if (waiting.length > 0) event.preventDefault();
  });
}
