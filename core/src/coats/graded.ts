import { layOver } from '../colour';
import { gradedLoads, type CoatHeights, type CoatOf } from '../design';
import { evenWalk } from '../fade';
import { gradedPots, potFilm, type GradedPot, type StirredPot } from '../ink';
import { BARE_GRIP } from '../layout';
import { glitterFill } from '../resin';
import type { ItemOf } from '../stock';
import { areaOf, type CoatContext } from './coat-kind';
import type { Grounds } from './ground';
import type { PlannedGrade, PlannedGradePot } from './planned-coat';

/** mm that wet pots are drawn into each other, to either side. */
export const DRAWN = 5;

/** A pot of a coat that changes on the way up, and the places it is spread on. */
interface PotPlaces {
  readonly heights: CoatHeights;
  readonly on: readonly string[];
}

/**
 * The places of a tinted coat by its pots, from below; null where all of it is one pot. What is no part of the wall goes with
 * the wall beside it: the base with the lowest pot, a handle with the middle one.
 */
export function gradedPlaces(
  coat: CoatOf<'ink'>,
  places: readonly string[],
  { heights, levels }: CoatContext,
): readonly PotPlaces[] | null {
  const pots = levels.pots[coat.id] as readonly CoatHeights[] | undefined;
  if (!pots || pots.length < 2 || places.length === 0) return null;
  const potOf = (place: string): number => {
    const own = heights[place] as CoatHeights | undefined;
    if (!own) return place === BARE_GRIP ? pots.length >> 1 : 0;
    const above = pots.findIndex(({ to }) => own.to <= to + 1e-9);
    return above < 0 ? pots.length - 1 : above;
  };
  return pots.map((own, pot) => ({ heights: own, on: places.filter((place) => potOf(place) === pot) }));
}

/** Pots that resin is parted into beyond the one it is mixed in: the second that is stirred, and those mixed from both. */
export const potsBeside = (pots: readonly unknown[] | null): number => (pots ? 1 + pots.length : 0);

/** Pots measured out of so much resin, ml. @param inks in the order of the coat's own */
export function measuredOut(
  pots: readonly Omit<PlannedGradePot, keyof GradedPot>[],
  ml: number,
  inks: Parameters<typeof gradedPots>[2],
): PlannedGrade {
  const mixed = gradedPots(ml, pots, inks);
  return { stirred: mixed.stirred, pots: pots.map((pot, i) => ({ ...pot, ...mixed.pots[i] })) };
}

/** Pots of a coat, so mixed that each step up changes it as much to the eye as the next. */
export function gradedOn(
  pots: readonly PotPlaces[],
  {
    coat,
    inks,
    ml,
    grounds,
    context,
  }: {
    readonly coat: CoatOf<'ink'>;
    readonly inks: readonly { readonly ink: ItemOf<'ink'> }[];
    readonly ml: number;
    readonly grounds: Grounds;
    readonly context: CoatContext;
  },
): PlannedGrade {
  const loads = gradedLoads(coat);
  const known = inks.map(({ ink }) => {
    const at = [coat, ...(coat.also ?? [])].findIndex((one) => one.ink === ink.id);
    return { ink, dropMl: ink.dropMl, loads: loads[at] };
  });
  const all = pots.flatMap(({ on }) => on);
  const largest = all.reduce((most, place) => (context.sizes[place] > context.sizes[most] ? place : most), all[0]);
  const under = grounds[largest].spectrum;
  const seenAt = (ends: readonly (readonly number[])[]) => (share: number) => {
    const inked = known.map(({ ink }, i) => ({ ink, load: ends[0][i] + share * (ends[1][i] - ends[0][i]) }));
    return layOver(potFilm(inked, coat.thickness), under);
  };
  const needs = pots.map(({ on }) => {
    const fill = on.reduce((sum, place) => sum + glitterFill(context.sizes[place], 1, grounds[place].rawMicrons), 0);
    return (areaOf(on, context) * coat.thickness) / 10 + fill;
  });
  const need = needs.reduce((sum, one) => sum + one, 0);
  const out = (upper: readonly number[]) =>
    measuredOut(
      pots.map((pot, i) => ({ ...pot, share: need > 0 ? needs[i] / need : 0, upper: upper[i] })),
      ml,
      known,
    );
  // Whole drops move the ends a little: the steps are even between what the ends really are.
  const wished = out(evenWalk(pots.length, seenAt([0, 1].map((end) => known.map((one) => one.loads[end])))).at).pots;
  return out(evenWalk(pots.length, seenAt([wished[0].loads, wished[wished.length - 1].loads])).at);
}

/** Drops of an ink in all of it, and the load that they are. */
export function inAll({ stirred }: PlannedGrade, ink: number): { readonly count: number; readonly load: number } {
  const sum = (of: (pot: StirredPot) => number) => stirred.reduce((total, pot) => total + of(pot), 0);
  const ml = sum((pot) => pot.ml);
  return { count: sum(({ drops }) => drops[ink].count), load: ml > 0 ? sum((pot) => pot.ml * pot.drops[ink].load) / ml : 0 };
}

/** What hands do with it. @param powders stirred in beside drops, or in their place */
export const gradedText = (powders: boolean): string =>
  `Part the resin in two, and stir into each what is counted for it${powders ? ', powder at least 30 s, no lumps' : ''}. Measure every pot out of these two. Spread them from below upwards, each over its heights, and draw every pot some ${DRAWN} mm into the next while both are wet. Look again after 12 min.`;
