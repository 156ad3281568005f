import { deltaE2000, labOf, type Lab, type Spectrum } from '../colour';
import { flakeRain, keptDepth, type Part } from '../glitter';
import { tidy } from '../units';
import { EVEN_ENOUGH, type FadeWish } from './fade-wish';
import { coverAt, faceOf, measured, underAt, type Leg } from './way-of-fade';

/** Where a pot lies: a share of a leg, and the cm² of wall it lays. */
export interface PotPlace {
  readonly leg: Leg;
  readonly share: number;
  readonly area: number;
}

/** What a pot could be mixed of: ml of its leg's two mixes, and how it would look. */
export interface PotChoice {
  readonly ofFrom: number;
  readonly ofTo: number;
  readonly lab: Lab;
  readonly spectrum: Spectrum;
  /** flakes deep that stay, all passes */
  readonly kept: number;
  /** share of the full depth it is meant to have */
  readonly cover: number;
  /** between which stops it lies */
  readonly leg: Leg;
}

/** Flakes deep that have to be poured a pass so that so much is kept of all passes. */
const pouredFor = (kept: number, { hold, passes }: FadeWish): number => {
  const each = kept / passes;
  return hold === null ? each : -hold * Math.log(1 - Math.min(0.995, each / hold));
};

export const keptOf = (poured: number, { hold, passes }: FadeWish): number =>
  passes * (hold === null ? poured : keptDepth(poured, hold));

/** How parts laid on so many cm² look. */
export function looksOf(
  parts: readonly Part[],
  area: number,
  under: Spectrum,
  wish: FadeWish,
): Pick<PotChoice, 'lab' | 'spectrum' | 'kept'> {
  const kept = keptOf(faceOf(parts) / area, wish);
  const spectrum = flakeRain(parts, kept, under);
  return { lab: labOf(spectrum), spectrum, kept };
}

/** Spoons either way of the split, or of a thinner amount, that are tried. */
const EITHER_WAY = [-1, 0, 1];
const THINNER = [-2, -1, 0, 1, 2];
/** Full cover may be poured so much short, which no eye and no spoon tells. */
const SHORT = 0.01;
/** ml that nothing measures: a pot of which later areas leave so little is strewn with its neighbour */
const NOTHING = 0.005;

/** A pot as it should be, before it is rounded to spoons. */
export function exactChoice(wish: FadeWish, place: PotPlace): PotChoice {
  const { leg, share, area } = place;
  const { perMl, ofTo } = mixAt(leg, share);
  const ml = (pouredFor(coverAt(leg, share) * wish.depth, wish) * area) / perMl;
  return choiceOf(wish, place, (1 - ofTo) * ml, ofTo * ml);
}

/** cm² of face a ml has at a share of a leg, and the share of its second mix. */
function mixAt(leg: Leg, share: number): { readonly perMl: number; readonly ofTo: number } {
  const ofTo = leg.same ? 0 : share;
  const perMl = (1 - ofTo) * faceOf(measured(leg.from.mix, 1)) + ofTo * faceOf(measured(leg.to.mix, 1));
  return { perMl, ofTo };
}

const choiceOf = (wish: FadeWish, { leg, share, area }: PotPlace, ofFrom: number, ofTo: number): PotChoice => ({
  ofFrom: tidy(ofFrom),
  ofTo: tidy(ofTo),
  leg,
  cover: coverAt(leg, share),
  ...looksOf([...measured(leg.from.mix, ofFrom), ...measured(leg.to.mix, ofTo)], area, underAt(leg, share), wish),
});

/**
 * The spoonfuls a pot can have.
 * @param step ml of the spoon
 * @param more spoons more than it needs that are tried
 */
export function choicesFor(
  wish: FadeWish,
  place: PotPlace,
  { step, more }: { readonly step: number; readonly more: number },
): readonly PotChoice[] {
  const { leg, share, area } = place;
  const ideal = exactChoice(wish, place);
  if (ideal.ofFrom + ideal.ofTo < NOTHING) return [{ ...ideal, ofFrom: 0, ofTo: 0 }];
  const { perMl, ofTo } = mixAt(leg, share);
  const cover = coverAt(leg, share);
  const choice = (ofFrom: number, of: number) => choiceOf(wish, place, ofFrom, of);
  const spoons = (pouredFor(cover * wish.depth, wish) * area) / perMl / step;
  const mixed = ofTo > 0 && ofTo < 1;
  const least = mixed ? 2 : 1;
  // Full cover is never poured short; a thinner one may be off either way. Where one mix is strewn all along, it's
  // strewn alike.
  const amounts =
    cover === 1
      ? Array.from({ length: leg.same ? 1 : more + 1 }, (_, i) => Math.max(least, Math.ceil(spoons * (1 - SHORT) - 1e-9)) + i)
      : [...new Set(THINNER.map((other) => Math.max(least, Math.round(spoons) + other)))];
  return amounts.flatMap((count) => {
    if (!mixed) return [ofTo === 1 ? choice(0, count * step) : choice(count * step, 0)];
    const splits = new Set(EITHER_WAY.map((other) => Math.min(count - 1, Math.max(1, Math.round(ofTo * count) + other))));
    return [...splits].map((upper) => choice((count - upper) * step, upper * step));
  });
}

/** Of the change in density that a step should make, so much has to be left of it: less is no step, or one back. */
const STILL_A_STEP = 0.2;

/** Whether a pot turns back on its way: denser where the fade grows thinner, or less of the mix it changes to. */
export function turnsBack(one: PotChoice, next: PotChoice, least = 0): boolean {
  const denser = next.cover - one.cover;
  if (Math.abs(denser) > 1e-9 && (next.kept - one.kept) * Math.sign(denser) < least - 1e-9) return true;
  return one.leg === next.leg && !one.leg.same && shareOfTo(next) < shareOfTo(one) - 1e-9;
}

function shareOfTo({ ofFrom, ofTo }: PotChoice): number {
  const ml = ofFrom + ofTo;
  return ml === 0 ? NaN : ofTo / ml;
}

/**
 * What pouring more than the wall needs weighs beside uneven steps, ΔE00² for as much again: the most that still lets
 * the steps come out even enough. Where none does, glitter isn't thrown after it.
 */
const SURPLUS_COSTS = [20, 6, 2];
const THRIFTY = 6;

/** A pot's choices, what they cost in evenness from the one before, and what they pour over. */
interface Stage {
  readonly choices: readonly PotChoice[];
  /** by this pot's choice, then by the one before's; endless where it would turn back */
  readonly uneven: readonly (readonly number[])[];
  readonly surplus: readonly number[];
}

/**
 * One choice a pot, so that no pot turns back, all steps come as near as spoons can to what they should be, and little is
 * poured over.
 * @param ideal each pot as it should be
 * @param strict whether each step has to be one, or may be none
 * @returns null where spoons can't follow the fade without turning back
 */
export function mostAlike(
  choices: readonly (readonly PotChoice[])[],
  ideal: readonly PotChoice[],
  strict: boolean,
): readonly PotChoice[] | null {
  const stages = choices.map((pot, i): Stage => {
    const { ofFrom, ofTo } = ideal[i];
    const need = ofFrom + ofTo;
    const before = i === 0 ? [] : choices[i - 1];
    const wanted = i === 0 ? 0 : deltaE2000(ideal[i - 1].lab, ideal[i].lab);
    const least = i === 0 || !strict ? 0 : STILL_A_STEP * Math.abs(ideal[i].kept - ideal[i - 1].kept);
    return {
      choices: pot,
      uneven: pot.map((next) =>
        before.map((one) => (turnsBack(one, next, least) ? Infinity : (deltaE2000(one.lab, next.lab) - wanted) ** 2)),
      ),
      surplus: pot.map((one) => (need > 0 ? ((one.ofFrom + one.ofTo - need) / need) ** 2 : 0)),
    };
  });
  let best: readonly PotChoice[] | null = null;
  for (const cost of SURPLUS_COSTS) {
    const way = cheapestWay(stages, cost);
    if (way === null) return null;
    if (unevennessOf(way) <= EVEN_ENOUGH) return way;
    if (cost >= THRIFTY && (best === null || unevennessOf(way) < unevennessOf(best))) best = way;
  }
  return best;
}

/** The way through all stages that costs least (dynamic programming); null when each turns back somewhere. */
function cheapestWay(stages: readonly Stage[], cost: number): readonly PotChoice[] | null {
  let sums: readonly number[] = stages[0].surplus.map((one) => cost * one);
  const came: (readonly number[])[] = [];
  for (const { uneven, surplus } of stages.slice(1)) {
    const from = uneven.map((row) => row.reduce((least, one, i) => (sums[i] + one < sums[least] + row[least] ? i : least), 0));
    sums = from.map((before, at) => sums[before] + uneven[at][before] + cost * surplus[at]);
    came.push(from);
  }
  let at = sums.reduce((least, one, i) => (one < sums[least] ? i : least), 0);
  if (!Number.isFinite(sums[at])) return null;
  const way = [stages[stages.length - 1].choices[at]];
  for (let stage = stages.length - 2; stage >= 0; stage -= 1) {
    at = came[stage][at];
    way.unshift(stages[stage].choices[at]);
  }
  return way;
}

/**
 * The pot, or the two side by side, that would make the steps most even if it were measured as it should be, all others
 * as they are.
 * @param exact each pot as it should be
 * @returns pots counted from 0; none where that would help nobody
 */
export function worthMeasuringFiner(way: readonly PotChoice[], exact: readonly PotChoice[]): readonly number[] {
  const now = unevennessOf(way);
  const tried = (pots: readonly number[]) => {
    const other = way.map((choice, i) => (pots.includes(i) ? exact[i] : choice));
    const back = other.slice(1).some((next, i) => turnsBack(other[i], next));
    return { pots, unevenness: back ? Infinity : unevennessOf(other) };
  };
  const best = (ways: readonly (readonly number[])[]) =>
    ways.map(tried).reduce((least, one) => (one.unevenness < least.unevenness ? one : least), {
      pots: [] as readonly number[],
      unevenness: now,
    });
  const one = best(way.map((_, i) => [i]));
  const two = best(way.slice(1).map((_, i) => [i, i + 1]));
  const chosen = one.unevenness <= EVEN_ENOUGH || one.unevenness <= two.unevenness * 1.1 ? one : two;
  return chosen.unevenness <= now * WORTH_IT ? chosen.pots : [];
}

/** A finer spoon is only asked for where it makes the steps so much more even. */
const WORTH_IT = 0.95;

/** ΔE00 from each pot to the next. */
export const stepsOf = (way: readonly { readonly lab: Lab }[]): readonly number[] =>
  way.slice(1).map((one, i) => deltaE2000(way[i].lab, one.lab));

/** The widest step over the narrowest. */
export function unevennessOf(way: readonly { readonly lab: Lab }[]): number {
  const steps = stepsOf(way);
  return Math.max(...steps) / Math.max(1e-6, Math.min(...steps));
}
