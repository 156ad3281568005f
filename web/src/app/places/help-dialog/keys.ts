/** Every key that does something, by where it does. */
export const keysByPlace: readonly {
  readonly place: string;
  readonly keys: readonly { readonly key: string; readonly does: string }[];
}[] = [
  {
    place: 'Everywhere',
    keys: [
      { key: '.', does: 'Go to any place, or do anything, by its name' },
      { key: 'g d', does: 'Designs' },
      { key: 'g s', does: 'Shelf' },
      { key: 'g c', does: 'Cups' },
      { key: 'g b', does: 'Bench' },
      { key: 'g w', does: 'Week, with orders, stock and money' },
      { key: '/', does: 'Search, where there is a search' },
      { key: '?', does: 'This help' },
      { key: 'Esc', does: 'Close what lies over the page; take back what was typed into a figure' },
    ],
  },
  {
    place: 'In a design',
    keys: [
      { key: 'Ctrl Z', does: 'Undo; with Shift, redo' },
      { key: '← →', does: 'Turn the cup, once it has the focus' },
    ],
  },
  {
    place: 'Areas',
    keys: [
      { key: 'Alt ↑ ↓', does: 'Bring the area you are on forward, or send it back' },
      { key: 'arrows', does: 'Move a handle by 1 mm or 1°; with Shift by ten' },
    ],
  },
  {
    place: 'Colour',
    keys: [
      { key: '↑ ↓', does: 'One spoon more or less in an amount' },
      { key: 'arrows', does: 'Tilt the swatch in the light; move a stop of a fade' },
    ],
  },
  {
    place: 'Week',
    keys: [
      { key: 'arrows', does: 'From step to step, and from cup to cup' },
      { key: 'Page Up, Page Down', does: 'A day back, a day on; Home is today' },
    ],
  },
  { place: 'Bench', keys: [{ key: 'Enter, Page Down', does: 'What the large button does; a foot pedal sends either' }] },
  { place: 'Coats', keys: [{ key: 'Alt ↑ ↓', does: 'Move the coat you are on up or down' }] },
  {
    place: 'Lists of jars',
    keys: [
      { key: '↓ ↑', does: 'From the search into the list, and along it' },
      { key: 'Enter', does: 'Take the first one, or the one you are on' },
    ],
  },
  { place: 'Photos', keys: [{ key: 'arrows', does: 'Move the cross; Enter takes the colour under it' }] },
];
