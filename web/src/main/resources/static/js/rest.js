// Fetches what the page left out at first, block by block, while the teacher already works.
const LINE_HEIGHT = 27;
const CARD_HEIGHT = 190;

/** Resolves when all lines and cards are there. */
export async function fetchRest(root) {
  const sheet = [...root.querySelectorAll('.sheet [data-rest]')];
  const cards = [...root.querySelectorAll('.questions [data-rest]')];
  sheet.filter((rest) => rest.matches('.rest-lines')).forEach((rest) => { rest.style.height = `${LINE_HEIGHT * 150}px`; });
  cards.forEach((rest) => { rest.style.height = `${CARD_HEIGHT * 30}px`; });
  await Promise.all([inOrder(sheet), inOrder(cards)]);
}

async function inOrder(rests) {
  for (const rest of rests) {
    const response = await fetch(rest.dataset.rest);
    if (!response.ok || !rest.isConnected) continue;
    const template = document.createElement('template');
    template.innerHTML = await response.text();
    const parts = [...template.content.children];
    rest.replaceWith(...parts);
    parts.forEach((one) => htmx.process(one));
  }
}
