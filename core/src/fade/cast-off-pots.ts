import { keptDepth, type Part } from '../glitter';
import { tidy } from '../units';
import type { FadeWish } from './fade-wish';
import { looksOf, turnsBack, type PotChoice } from './pot-choices';
import { eachJarOnce, faceOf, measured, underAt, type Leg } from './way-of-fade';

type Parts = readonly {
  readonly item: FadeWish['stops'][number]['mix']['parts'][number]['item'];
  readonly name: string;
  readonly ml: number;
}[];

/** A pot with the cast-off of the one poured before it in it. */
export interface BegunPot extends PotChoice {
  readonly fromCastOff: number;
  /** everything in it; null where it takes no cast-off and wasn't weighed */
  readonly parts: Parts | null;
  /** what of it is cast-off, jar by jar */
  readonly reused: Parts;
}

/** Where on its leg a pot lies. */
interface PotShare {
  readonly leg: Leg;
  readonly share: number;
}

/** Cast-off counts for as much as the maker catches; a tenth stays on brush, paper and floor. */
const CAUGHT = 0.9;

/**
 * Pots begun with cast-off as far as none turns back for it: one that would is filled afresh.
 */
export function withCastOff(
  wish: FadeWish,
  places: readonly PotShare[],
  pots: readonly PotChoice[],
  order: readonly number[],
): readonly BegunPot[] {
  const fresh = new Set<number>();
  // What was weighed is as it was, even where it turns back.
  const given = (pot: number) => wish.weighed?.has(pot) ?? false;
  for (;;) {
    const begun = begunWith(wish, places, pots, order, fresh);
    const back = begun.findIndex((pot, i) => i > 0 && !given(i) && !given(i - 1) && turnsBack(begun[i - 1], pot));
    if (back < 0) return begun;
    const changed = [back, back - 1].filter((pot) => begun[pot].fromCastOff > 0);
    // What was chosen before any cast-off turns back nowhere.
    if (changed.length === 0) return begunWith(wish, places, pots, order, new Set(order));
    changed.forEach((pot) => fresh.add(pot));
  }
}

/**
 * Pots begun with what the one poured before cast off, topped up to what they should be. The cast-off is taken only as
 * far as it holds no more of either mix than the pot wants.
 * @param fresh pots that take none
 */
function begunWith(
  wish: FadeWish,
  places: readonly PotShare[],
  pots: readonly PotChoice[],
  order: readonly number[],
  fresh: ReadonlySet<number>,
): readonly BegunPot[] {
  const begun = pots.map((choice, pot) => freshPot(wish, places, choice, pot));
  order.slice(1).forEach((pot, i) => {
    const before = order[i];
    if (fresh.has(pot)) return;
    const { leg } = places[pot];
    const wanted = [...measured(leg.from.mix, pots[pot].ofFrom), ...measured(leg.to.mix, pots[pot].ofTo)];
    const last = begun[before].parts ?? fullParts(places[before].leg, pots[before]);
    const poured = last.reduce((sum, { ml }) => sum + ml, 0);
    const spare = poured * castShare(glittersOf(wish, last), wish.areas[before], wish) * CAUGHT;
    const room = Math.min(
      ...last.map(
        ({ item, ml }) => (wanted.filter((one) => one.item === item).reduce((sum, one) => sum + one.ml, 0) * poured) / ml,
      ),
    );
    const taken = Math.floor(Math.min(spare, room) / wish.step + 1e-9) * wish.step;
    if (taken <= 0) return;
    const reused = last.map((one) => ({ ...one, ml: (one.ml * taken) / poured }));
    const weighed = wish.weighed?.get(pot);
    const { ofFrom, ofTo } = weighed ? pots[pot] : toppedUp(leg, pots[pot], last, taken / poured, wish.step);
    const jars = weighed ?? [...measured(leg.from.mix, ofFrom), ...measured(leg.to.mix, ofTo)];
    begun[pot] = {
      ...{ ...pots[pot], ofFrom, ofTo, fromCastOff: tidy(taken), reused },
      ...withParts(wish, places, pot, [...reused, ...jars]),
    };
  });
  return begun;
}

/** A pot begun with no cast-off: as it was weighed, or as it was chosen. */
export function freshPot(wish: FadeWish, places: readonly PotShare[], choice: PotChoice, pot: number): BegunPot {
  const weighed = wish.weighed?.get(pot);
  const looks = weighed ? withParts(wish, places, pot, weighed) : { parts: null };
  return { ...choice, fromCastOff: 0, reused: [], ...looks };
}

/** What is in a pot, each jar once, and how it looks with that. */
function withParts(wish: FadeWish, places: readonly PotShare[], pot: number, poured: Parts) {
  const parts = eachJarOnce(poured);
  const { leg, share } = places[pot];
  return { ...looksOf(glittersOf(wish, parts), wish.areas[pot], underAt(leg, share), wish), parts };
}

/** Parts as flakes: everything in a pot is of some stop's jars. */
function glittersOf({ stops }: FadeWish, parts: Parts): readonly Part[] {
  const jars = new Map(stops.flatMap(({ mix }) => mix.parts.map(({ item, glitter }) => [item as string, glitter] as const)));
  return parts.flatMap(({ item, ml }) => {
    const glitter = jars.get(item);
    return glitter ? [{ glitter, ml }] : [];
  });
}

const fullParts = (leg: Leg, { ofFrom, ofTo }: PotChoice): Parts => [
  ...measured(leg.from.mix, ofFrom),
  ...measured(leg.to.mix, ofTo),
];

/** Share of a pour that glue doesn't hold. */
function castShare(parts: Parameters<typeof faceOf>[0], area: number, { hold }: FadeWish): number {
  const poured = faceOf(parts) / area;
  return hold === null || poured === 0 ? 0 : 1 - keptDepth(poured, hold) / poured;
}

/** Spoonfuls of both mixes still wanted once the cast-off is in; by the jar that tells the two mixes best apart. */
function toppedUp(leg: Leg, pot: PotChoice, last: Parts, share: number, step: number): Pick<PotChoice, 'ofFrom' | 'ofTo'> {
  const of = (mix: Leg['from']['mix'], item: string) =>
    measured(mix, 1)
      .filter((one) => one.item === item)
      .reduce((sum, { ml }) => sum + ml, 0);
  const whole = last.reduce((sum, { ml }) => sum + ml * share, 0);
  const telling = last.map(({ item, ml }) => ({
    ml: ml * share,
    gap: of(leg.to.mix, item) - of(leg.from.mix, item),
    from: of(leg.from.mix, item),
  }));
  const best = telling.reduce((most, one) => (Math.abs(one.gap) > Math.abs(most.gap) ? one : most));
  const inTo = best.gap === 0 ? 0 : Math.min(whole, Math.max(0, (best.ml - whole * best.from) / best.gap));
  const spoon = (ml: number) => Math.max(0, Math.round(ml / step)) * step;
  return { ofFrom: tidy(spoon(pot.ofFrom - (whole - inTo))), ofTo: tidy(spoon(pot.ofTo - inTo)) };
}
