import type { AreaId } from '../areas';
import {
  isFilm,
  withParts,
  type Blend,
  type Coat,
  type CoatId,
  type CoatKindName,
  type CoatOf,
  type Design,
  type Workshop,
} from '../design';
import { frontAngle, heightOf } from '../vessel';
import type { CoatGroup } from './coat-kind';
import { coatKinds } from './coat-kinds';
import { intoWet } from './resin';

/** What a new coat of a kind begins with, from what is on the shelf. */
export function startingCoat<Kind extends CoatKindName>(
  kind: Kind,
  { cup }: Pick<Design, 'cup'>,
  { shelf }: Pick<Workshop, 'shelf'>,
  id: CoatId,
): CoatOf<Kind> {
  const from = { shelf, height: heightOf(cup), stations: cup.stations, front: frontAngle(cup) };
  return { ...coatKinds[kind].start(from), id } as CoatOf<Kind>;
}

/** What comes after what, in the order of work. */
const later: Readonly<Record<CoatGroup, readonly CoatGroup[]>> = {
  under: ['masks', 'flakes', 'closing', 'colour', 'laid on', 'end'],
  masks: ['flakes', 'closing', 'colour', 'laid on', 'end'],
  flakes: ['closing', 'colour', 'laid on', 'end'],
  closing: ['end'],
  colour: ['end'],
  'laid on': ['end'],
  end: [],
};

/**
 * Before which coat a new one of a kind belongs, in the usual order of work.
 * @param open the coat that is looked at: what is added then comes right after it
 * @returns null for the end
 */
export function placeForCoat(kind: CoatKindName, { coats }: Pick<Design, 'coats'>, open: string | null = null): CoatId | null {
  const at = coats.findIndex(({ id }) => id === open);
  if (at >= 0) return coats.at(at + 1)?.id ?? null;
  // What goes into wet resin follows the last coat of it, as long as nothing lies on that.
  const film = coats.findLastIndex(isFilm);
  if (intoWet.includes(kind) && film >= 0) return coats.at(film + 1)?.id ?? null;
  // What belongs at the end stands there already in most plans; only the last of it counts, a rest between coats doesn't.
  const after = later[coatKinds[kind].group];
  const rests = coats.at(-1)?.kind === 'rest' && after.includes('end') ? coats.length - 1 : coats.length;
  const first = coats.findIndex(({ kind: other }, i) => i < rests && other !== 'rest' && after.includes(coatKinds[other].group));
  return coats.at(first < 0 ? rests : first)?.id ?? null;
}

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
  | {
      readonly does: 'set figure';
      readonly label: string;
      readonly coat: CoatId;
      readonly figure: 'thickness' | 'load' | 'length' | 'width' | 'share';
      readonly value: number;
    }
  | { readonly does: 'pour'; readonly label: string; readonly area: AreaId; readonly parts: readonly Blend['parts'][number][] }
  | { readonly does: 'put coat'; readonly label: string; readonly coat: Coat; readonly before: CoatId | null }
  | { readonly does: 'set coat'; readonly label: string; readonly coat: Coat }
  | { readonly does: 'remove coat'; readonly label: string; readonly coat: CoatId };

/**
 * A design with a fix taken.
 * @param id for a coat that is added
 */
export function withFix(design: Design, fix: Fix, workshop: Pick<Workshop, 'shelf'>, id: CoatId): Design {
  switch (fix.does) {
    case 'insert coat':
      return withCoat(design, onPlaces(startingCoat(fix.kind, design, workshop, id), fix.on), fix.before);
    case 'set figure':
      return withCoatChanged(design, fix.coat, (coat) => (fix.figure in coat ? { ...coat, [fix.figure]: fix.value } : coat));
    case 'pour':
      return withParts(design, fix.area, [...fix.parts]);
    case 'put coat':
      return withCoat(design, fix.coat, fix.before);
    case 'set coat':
      return withCoatChanged(design, fix.coat.id, () => fix.coat);
    case 'remove coat':
      return withoutCoat(design, fix.coat);
  }
}

const onPlaces = (coat: Coat, on: readonly AreaId[] | undefined): Coat => (on && 'on' in coat ? { ...coat, on: [...on] } : coat);
