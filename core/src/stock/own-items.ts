import type { ShelfItem } from './shelf-item';

/** An item without the mark of a typical one: it was looked at, and is the maker's own now. */
export function asOwn<Item extends ShelfItem>(item: Item): Item {
  const own = { ...item };
  delete own.typical;
  return own;
}

/** Kinds of material that no cup is finished without, of which a shelf has none. */
export const lackingKinds = (shelf: readonly ShelfItem[]): readonly ('glue' | 'resin')[] =>
  (['glue', 'resin'] as const).filter((kind) => !shelf.some((item) => item.kind === kind));
