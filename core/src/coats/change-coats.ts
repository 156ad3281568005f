import type { AreaId } from '../areas';
import type { Coat, CoatId, CoatKindName, Design, Workshop } from '../design';
import { heightOf } from '../vessel';
import { coatKinds } from './coat-kinds';

/** What a new coat of a kind begins with, from what is on the shelf. */
export const startingCoat = (kind: CoatKindName, design: Design, { shelf }: Pick<Workshop, 'shelf'>, id: CoatId): Coat =>
  ({ ...coatKinds[kind].start({ shelf, height: heightOf(design.cup) }), id }) as Coat;

/** A design with one coat more, before another, or at the end where there is no such coat. */
export function withCoat(design: Design, coat: Coat, before: CoatId | null = null): Design {
  const at = design.coats.findIndex(({ id }) => id === before);
  return { ...design, coats: design.coats.toSpliced(at < 0 ? design.coats.length : at, 0, coat) };
}

/** A design with a decal before the last resin, which closes over it; at the end where there is none. */
export const withDecal = (design: Design, decal: Extract<Coat, { kind: 'decal' }>): Design =>
  withCoat(design, decal, design.coats.findLast(({ kind }) => kind === 'resin')?.id);

/** A design with a coat set otherwise. */
export const withCoatChanged = (design: Design, id: CoatId, change: (coat: Coat) => Coat): Design => ({
  ...design,
  coats: design.coats.map((coat) => (coat.id === id ? change(coat) : coat)),
});

/** A design with a coat twice, one right after the other. */
export function withCoatTwice(design: Design, id: CoatId, copy: CoatId): Design {
  const at = design.coats.findIndex((coat) => coat.id === id);
  return at < 0 ? design : { ...design, coats: design.coats.toSpliced(at + 1, 0, { ...design.coats[at], id: copy }) };
}

/** A design with one coat moved to another place in the order. */
export function withCoatMoved(design: Design, from: number, to: number): Design {
  if (from === to) return design;
  const coats = [...design.coats];
  coats.splice(to, 0, ...coats.splice(from, 1));
  return { ...design, coats };
}

export const withoutCoat = (design: Design, id: CoatId): Design => ({
  ...design,
  coats: design.coats.filter((coat) => coat.id !== id),
});

/** A change to the coats that a maker can take with one press. */
export type Fix =
  | {
      readonly does: 'insert coat';
      readonly label: string;
      readonly kind: CoatKindName;
      /** null for the end */
      readonly before: CoatId | null;
      /** where it goes, when that isn't the whole cup */
      readonly on?: readonly AreaId[];
    }
  | { readonly does: 'set thickness'; readonly label: string; readonly coat: CoatId; readonly thickness: number }
  | { readonly does: 'set load'; readonly label: string; readonly coat: CoatId; readonly load: number };

/**
 * A design with a fix taken.
 * @param id for a coat that is added
 */
export function withFix(design: Design, fix: Fix, workshop: Pick<Workshop, 'shelf'>, id: CoatId): Design {
  switch (fix.does) {
    case 'insert coat':
      return withCoat(design, onPlaces(startingCoat(fix.kind, design, workshop, id), fix.on), fix.before);
    case 'set thickness':
      return withCoatChanged(design, fix.coat, (coat) => ('thickness' in coat ? { ...coat, thickness: fix.thickness } : coat));
    case 'set load':
      return withCoatChanged(design, fix.coat, (coat) => (coat.kind === 'ink' ? { ...coat, load: fix.load } : coat));
  }
}

const onPlaces = (coat: Coat, on: readonly AreaId[] | undefined): Coat => (on && 'on' in coat ? { ...coat, on: [...on] } : coat);
