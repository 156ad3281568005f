import { itemsOfCoat, type CoatId, type CoatKindName, type Design, type Workshop } from '../design';
import type { ShelfKind } from '../stock';
import { startingCoat } from './change-coats';
import { coatKinds } from './coat-kinds';

/** What a new coat of a kind is made with and nobody has on the shelf: without it there is no such coat. */
export function lackingFor(kind: CoatKindName, design: Design, workshop: Pick<Workshop, 'shelf'>): readonly ShelfKind[] {
  const begun = startingCoat(kind, design, workshop, kind as CoatId);
  return itemsOfCoat(begun).flatMap(({ id, kind: item }) => (id === '' ? [item] : []));
}

/** The same as a sentence with a way out; null where nothing lacks. */
export function lackingText(kind: CoatKindName, design: Design, workshop: Pick<Workshop, 'shelf'>): string | null {
  const lacking = lackingFor(kind, design, workshop);
  if (lacking.length === 0) return null;
  return `${coatKinds[kind].name} wants ${lacking.map(withArticle).join(' and ')} from your shelf, and there is none. Put one there first.`;
}

const withArticle = (kind: ShelfKind): string => (kind === 'ink' ? 'an ink' : `a ${kind}`);
