import type { ShelfItem } from './shelf-item';

const called = ({ name }: Pick<ShelfItem, 'name'>): string => name.trim().replaceAll(/\s+/g, ' ').toLocaleLowerCase();

/** Other items of the same kind that are called alike: on a card nobody could tell which of them is meant. */
export const namesakesOf = (item: ShelfItem, shelf: readonly ShelfItem[]): readonly ShelfItem[] =>
  shelf.filter((one) => one.id !== item.id && one.kind === item.kind && called(one) === called(item));
