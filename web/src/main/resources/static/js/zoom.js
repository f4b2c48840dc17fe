// Opens a picture large; pressing it there shows it at twice its size, to be moved about.
export function attachZoom(root) {
  const dialog = document.createElement('dialog');
  dialog.className = 'zoom';
  dialog.setAttribute('aria-label', 'The picture, large');
  dialog.innerHTML = '<form method="dialog"><button class="action">Close</button></form><div class="zoom-frame"><img alt=""></div>';
  document.body.append(dialog);
  const large = dialog.querySelector('img');

  root.querySelectorAll('.answer-card .figure, .candidate-passage .figure, .marked .figure').forEach((picture) => {
    picture.tabIndex = 0;
    picture.setAttribute('role', 'button');
    picture.setAttribute('aria-label', `Enlarge: ${picture.alt || 'picture'}`);
    const open = (event) => {
      event.preventDefault();
      large.src = picture.src;
      large.alt = picture.alt;
      large.classList.remove('is-doubled');
      dialog.showModal();
    };
    picture.addEventListener('click', open);
    picture.addEventListener('keydown', (event) => { if (event.key === 'Enter' || event.key === ' ') open(event); });
  });
  large.addEventListener('click', () => large.classList.toggle('is-doubled'));
  dialog.addEventListener('click', (event) => { if (event.target === dialog) dialog.close(); });
}
