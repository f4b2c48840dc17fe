// Where elements stand inside a scrolling pane; parts of a drawing have no offsets of their own.
export function topIn(pane, element) {
  return element.getBoundingClientRect().top - pane.getBoundingClientRect().top + pane.scrollTop;
}

export function heightOf(element) {
  return element.getBoundingClientRect().height;
}
