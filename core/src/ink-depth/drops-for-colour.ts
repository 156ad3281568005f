import { deltaE2000, labOf, reflectanceOf, type Lab } from '../colour';
import { inksOf, type CoatId, type CoatOf, type Design, type Workshop } from '../design';
import { MOST_DROPS, MOST_OFFERED_LOAD } from '../ink';
import { trialPlan } from '../plan';
import { itemOf } from '../stock';
import { coatCounts, inkCoat, laidTimes, placesOf, type CoatCount } from './after-coats';

/** How many drops, in how many coats, come nearest to a colour. */
export interface InkDepth {
  readonly coats: CoatCount;
  readonly drops: number;
  /** % of the resin */
  readonly load: number;
  /** hex of what is seen right after the last of them, and how far that is off, ΔE00 */
  readonly seen: string;
  readonly away: number;
}

/**
 * The nearest number of whole drops for a colour at a place, in one coat, in two and in three, the nearest of them first: each
 * number up to the largest load that cures is planned and looked at, so that none is nearer. Nothing where the coat doesn’t
 * reach the place, or its ink or resin is gone.
 * @param wanted hex
 */
export function dropsForColour(
  design: Design,
  workshop: Workshop,
  { coat: id, place, wanted }: { readonly coat: CoatId; readonly place: string; readonly wanted: string },
): readonly InkDepth[] {
  const coat = inkCoat(design, id);
  const ink = coat && itemOf(workshop.shelf, coat.ink, 'ink');
  if (!coat || !ink) return [];
  const once = trialPlan(laidTimes(design, coat, 1), workshop);
  const ml = once.coats[once.coats.length - 1].mix?.mix ?? 0;
  if (ml === 0 || !placesOf(once, coat).some((one) => one.id === place)) return [];
  const loadOf = (drops: number) => (drops * ink.dropMl * 100) / ml;
  const beside = inksOf(coat)
    .slice(1)
    .reduce((sum, { load }) => sum + load, 0);
  const counts = Array.from({ length: MOST_DROPS }, (_, i) => i + 1).filter(
    (drops) => drops === 1 || loadOf(drops) + beside <= MOST_OFFERED_LOAD,
  );
  const target = labOf(reflectanceOf(wanted));
  return coatCounts
    .map((times) =>
      counts
        .map((drops) => tried(design, workshop, { ...coat, load: loadOf(drops) }, { drops, times, place, target }))
        .reduce((best, one) => (one.away < best.away ? one : best)),
    )
    .sort((a, b) => a.away - b.away);
}

function tried(
  design: Design,
  workshop: Workshop,
  coat: CoatOf<'ink'>,
  { drops, times, place, target }: { drops: number; times: CoatCount; place: string; target: Lab },
): InkDepth {
  const { coats } = trialPlan(laidTimes(design, coat, times), workshop);
  const seen = coats[coats.length - 1].seen[place];
  return { coats: times, drops, load: coat.load, seen, away: deltaE2000(labOf(reflectanceOf(seen)), target) };
}

/** A design with a tinted coat of another load, so many times one over the other. @param newId for the further ones */
export function withInkDepth(design: Design, id: CoatId, { coats: times, load }: InkDepth, newId: () => string): Design {
  return {
    ...design,
    coats: design.coats.flatMap((coat) => {
      if (coat.id !== id || coat.kind !== 'ink') return [coat];
      const tinted = { ...coat, load };
      return [tinted, ...coatCounts.slice(1, times).map(() => ({ ...tinted, id: newId() as CoatId }))];
    }),
  };
}
