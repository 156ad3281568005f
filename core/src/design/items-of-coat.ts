import { shelfItemSchema, type ShelfKind } from '../stock';
import type { Coat, CoatOf } from './coat';

const kinds: readonly ShelfKind[] = shelfItemSchema.options.map(({ shape }) => shape.kind.value);

/** A shelf item that a coat is made with, and where the coat names it. */
export interface CoatItem {
  readonly kind: ShelfKind;
  readonly id: string;
  readonly path: readonly (string | number)[];
}

/** The shelf items a coat is made with: one each in the field of its kind, and further inks of its pot. */
export const itemsOfCoat = (coat: Coat): readonly CoatItem[] => [
  ...kinds.flatMap((kind) => {
    const id = (coat as Partial<Record<ShelfKind, string | null>>)[kind];
    return typeof id === 'string' ? [{ kind, id, path: [kind] }] : [];
  }),
  ...inksOf(coat)
    .slice(1)
    .map(({ ink }, i) => ({ kind: 'ink' as const, id: ink, path: ['also', i, 'ink'] })),
];

/** The inks in the pot of a tinted coat, each with its load, % of the resin; none of another coat. */
export const inksOf = (coat: Coat): readonly Pick<CoatOf<'ink'>, 'ink' | 'load'>[] =>
  coat.kind === 'ink' ? [{ ink: coat.ink, load: coat.load }, ...(coat.also ?? [])] : [];
