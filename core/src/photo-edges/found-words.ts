import type { OutlinePart } from '../cup-photo';
import type { FoundCard } from './found-card';
import type { FoundOutline } from './found-outline';

const partName: Readonly<Record<OutlinePart, string>> = {
  left: 'left side',
  right: 'right side',
  rim: 'rim',
  foot: 'foot',
};

/** What was found in a photo, and what is left to do by hand. */
export function foundWords(outline: FoundOutline | null, cards: readonly FoundCard[]): string {
  const card = cards.length > 0 ? 'the card' : null;
  if (!outline)
    return `The cup can’t be made out in this photo. Draw the four round handles onto the outermost points of rim and foot${card ? '' : ', and the square one onto the card'}.`;
  const found = card
    ? 'The cup and the card were found by their edges.'
    : 'The cup was found by its edges, a card wasn’t: draw the square handle onto it.';
  const unsure = outline.unsure.map((part) => partName[part]);
  if (unsure.length === 0) return `${found} Draw any handle that lies off.`;
  return `${found} Its ${unsure.join(' and its ')} can’t be made out surely: look whether the line lies on it, and draw the handles if it doesn’t.`;
}
