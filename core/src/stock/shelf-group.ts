import type { ShelfItem, ShelfKind } from './shelf-item';

/** How the shelf sorts what stands on it: a pearl is used like an ink, but it is a powder and makers keep it apart. */
export type ShelfGroup = ShelfKind | 'pearl';

export const groupOf = (item: ShelfItem): ShelfGroup => (item.kind === 'ink' && item.type === 'pearl' ? 'pearl' : item.kind);
