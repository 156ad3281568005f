import { shelfItemSchema, type ShelfItem, type ShelfKind } from '../stock';
import { MOST_INKS, MOST_TONES, type Coat, type CoatOf } from './coat';

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
  ...('also' in coat ? (coat.also ?? []) : []).map(({ ink }, i) => ({ kind: 'ink' as const, id: ink, path: ['also', i, 'ink'] })),
];

/** A coat of colours laid straight on a surface, each with its own drops. */
export type DroppedCoat = CoatOf<'grain' | 'floated'>;

/** The colours of such a coat, in their order. */
export const dropsOf = ({ ink, drops, also = [] }: DroppedCoat): readonly { readonly ink: string; readonly drops: number }[] => [
  { ink, drops },
  ...also,
];

/** What a further colour begins as: one of the shelf that isn't among them; null where there is none, or no room. */
export function furtherDrops(coat: DroppedCoat, shelf: readonly ShelfItem[]): NonNullable<DroppedCoat['also']>[number] | null {
  const taken = dropsOf(coat).map(({ ink }) => ink);
  const free = shelf.find(({ id, kind }) => kind === 'ink' && !taken.includes(id));
  return free && taken.length < MOST_TONES ? { ink: free.id, drops: coat.drops } : null;
}

/** A coat with inks: in one pot, or each in a pot of its own. */
export type InkedCoat = CoatOf<'ink' | 'strings'>;

/** The inks of a coat, each with its load, % of its resin; none of a coat without. */
export const inksOf = (coat: Coat): readonly Pick<InkedCoat, 'ink' | 'load'>[] =>
  coat.kind === 'ink' || coat.kind === 'strings' ? [{ ink: coat.ink, load: coat.load }, ...(coat.also ?? [])] : [];

/** An ink beside others in a pot, with its load. */
export type FurtherInk = NonNullable<InkedCoat['also']>[number];

/** % of the resin that a further ink begins with: little, so that what is there is not drowned. */
const LITTLE = 0.5;

/** What a further ink of a pot begins as: one of the shelf that isn't in it; null where there is none, or no room. */
export function furtherInk(coat: InkedCoat, shelf: readonly ShelfItem[]): FurtherInk | null {
  const taken = inksOf(coat).map(({ ink }) => ink);
  const free = shelf.find(({ id, kind }) => kind === 'ink' && !taken.includes(id));
  return free && taken.length < MOST_INKS ? { ink: free.id, load: LITTLE } : null;
}
