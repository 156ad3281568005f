import { deltaE2000, hexOf, labOf, type Lab, type Spectrum } from '../colour';
import { flakeRain, keptDepth, type Part } from '../glitter';
import { tidy } from '../units';
import type { FadeWish } from './fade-wish';
import { coverAt, faceOf, measured, underAt, type Leg } from './way-of-fade';

/** What a pot could be mixed of: ml of its leg's two mixes, and how it would look. */
export interface PotChoice {
  readonly ofFrom: number;
  readonly ofTo: number;
  readonly lab: Lab;
  readonly seen: string;
  /** flakes deep that stay, all passes */
  readonly kept: number;
  /** share of the full depth it is meant to have */
  readonly cover: number;
}

/** Flakes deep that have to be poured a pass so that so much is kept of all passes. */
const pouredFor = (kept: number, { hold, passes }: FadeWish): number => {
  const each = kept / passes;
  return hold === null ? each : -hold * Math.log(1 - Math.min(0.995, each / hold));
};

export const keptOf = (poured: number, { hold, passes }: FadeWish): number =>
  passes * (hold === null ? poured : keptDepth(poured, hold));

/** How parts strewn on so many cm² look. */
export function looksOf(
  parts: readonly Part[],
  area: number,
  under: Spectrum,
  wish: FadeWish,
): Pick<PotChoice, 'lab' | 'seen' | 'kept'> {
  const kept = keptOf(faceOf(parts) / area, wish);
  const spectrum = flakeRain(parts, kept, under);
  return { lab: labOf(spectrum), seen: hexOf(spectrum), kept };
}

/** Spoons either way of the split, or of the amount, that are tried. */
const EITHER_WAY = [-1, 0, 1];

/**
 * The spoonfuls a pot can have.
 * @param share of the leg
 * @param area cm² it is strewn on
 * @param more spoons more than it needs that are tried
 */
export function choicesFor(wish: FadeWish, leg: Leg, share: number, area: number, more: number): readonly PotChoice[] {
  const { step, depth } = wish;
  const under = underAt(leg, share);
  const cover = coverAt(leg, share);
  const choice = (ofFrom: number, ofTo: number): PotChoice => ({
    ofFrom: tidy(ofFrom),
    ofTo: tidy(ofTo),
    cover,
    ...looksOf([...measured(leg.from.mix, ofFrom), ...measured(leg.to.mix, ofTo)], area, under, wish),
  });
  const ofTo = leg.same ? 0 : share;
  const face = (1 - ofTo) * faceOf(measured(leg.from.mix, 1)) + ofTo * faceOf(measured(leg.to.mix, 1));
  const spoons = (pouredFor(cover * depth, wish) * area) / face / step;
  const mixed = ofTo > 0 && ofTo < 1;
  // Full cover is never poured short; a thinner one may be off either way. Where one mix is strewn all along, it's
  // strewn alike.
  const amounts =
    cover === 1
      ? Array.from({ length: leg.same ? 1 : more + 1 }, (_, i) => Math.max(mixed ? 2 : 1, Math.ceil(spoons - 1e-9)) + i)
      : [...new Set(EITHER_WAY.map((other) => Math.max(mixed ? 2 : 1, Math.round(spoons) + other)))];
  return amounts.flatMap((count) => {
    if (!mixed) return [ofTo === 1 ? choice(0, count * step) : choice(count * step, 0)];
    const splits = new Set(EITHER_WAY.map((other) => Math.min(count - 1, Math.max(1, Math.round(ofTo * count) + other))));
    return [...splits].map((upper) => choice((count - upper) * step, upper * step));
  });
}

/** No pot may lie barer than the one before where the fade grows denser, or the other way round. */
const BACKWARDS = 1e6;

const stepCost = (one: PotChoice, next: PotChoice, wanted: number): number => {
  const denser = next.cover - one.cover;
  const backwards = Math.abs(denser) > 1e-9 && (next.kept - one.kept) * denser <= 0;
  return (deltaE2000(one.lab, next.lab) - wanted) ** 2 + (backwards ? BACKWARDS : 0);
};

/**
 * One choice a pot, so that all steps come as near as spoons can to what they should be.
 * @param wanted ΔE00 of each step before it is rounded
 */
export function mostAlike(choices: readonly (readonly PotChoice[])[], wanted: readonly number[]): readonly PotChoice[] {
  let best = choices[0].map((choice) => ({ sum: 0, way: [choice] }));
  choices.slice(1).forEach((pot, i) => {
    best = pot.map((choice) =>
      best
        .map(({ sum, way }) => ({ sum: sum + stepCost(way[way.length - 1], choice, wanted[i]), way: [...way, choice] }))
        .reduce((least, one) => (one.sum < least.sum ? one : least)),
    );
  });
  return best.reduce((least, one) => (one.sum < least.sum ? one : least)).way;
}

/** ΔE00 from each pot to the next. */
export const stepsOf = (way: readonly { readonly lab: Lab }[]): readonly number[] =>
  way.slice(1).map((one, i) => deltaE2000(way[i].lab, one.lab));

/** The widest step over the narrowest. */
export function unevennessOf(way: readonly { readonly lab: Lab }[]): number {
  const steps = stepsOf(way);
  return Math.max(...steps) / Math.max(1e-6, Math.min(...steps));
}
