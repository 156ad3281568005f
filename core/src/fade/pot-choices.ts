import { deltaE2000, hexOf, labOf, type Lab } from '../colour';
import { facePerMl, flakeRain, keptDepth, type Part } from '../glitter';
import { tidy } from '../units';
import type { FadeMix, FadeWish } from './fade-wish';

/** What a pot could be mixed of: ml of the lower and of the upper end's mix, and how it would look. */
export interface PotChoice {
  readonly ofFrom: number;
  readonly ofTo: number;
  readonly lab: Lab;
  readonly seen: string;
  readonly bare: number;
}

/** A mix's parts scaled to so many ml. */
export const measured = ({ parts }: FadeMix, ml: number): readonly (Part & FadeMix['parts'][number])[] => {
  const total = parts.reduce((sum, part) => sum + part.ml, 0);
  return ml === 0 ? [] : parts.map((part) => ({ ...part, ml: (part.ml * ml) / total }));
};

const faceOf = (parts: readonly Part[]): number => parts.reduce((sum, { glitter, ml }) => sum + ml * facePerMl(glitter), 0);

/** Flakes deep that have to be poured a pass so that so much is kept of all passes. */
const pouredFor = (kept: number, { hold, passes }: FadeWish): number => {
  const each = kept / passes;
  return hold === null ? each : -hold * Math.log(1 - Math.min(0.995, each / hold));
};

const keptOf = (poured: number, { hold, passes }: FadeWish): number =>
  passes * (hold === null ? poured : keptDepth(poured, hold));

/** Spoons either way of the split, or of the amount, that are tried. */
const EITHER_WAY = [-1, 0, 1];

/**
 * The spoonfuls a pot can have.
 * @param share of the upper end's mix, or of the full depth where it thins out
 * @param area cm² it is strewn on
 * @param more spoons more than it needs that are tried
 */
export function choicesFor(
  wish: FadeWish,
  share: number,
  area: number,
  place: 'low' | 'between' | 'high',
  more: number,
): readonly PotChoice[] {
  const { from, to, step, depth, under } = wish;
  const choice = (ofFrom: number, ofTo: number): PotChoice => {
    const parts = [...measured(from, ofFrom), ...(to ? measured(to, ofTo) : [])];
    const kept = keptOf(faceOf(parts) / area, wish);
    const spectrum = flakeRain(parts, kept, under);
    return { ofFrom: tidy(ofFrom), ofTo: tidy(ofTo), lab: labOf(spectrum), seen: hexOf(spectrum), bare: Math.exp(-kept) };
  };
  if (!to) {
    const spoons = Math.round((pouredFor(share * depth, wish) * area) / faceOf(measured(from, 1)) / step);
    return [...new Set(EITHER_WAY.map((other) => Math.max(1, spoons + other)))].map((count) => choice(count * step, 0));
  }
  const face = (1 - share) * faceOf(measured(from, 1)) + share * faceOf(measured(to, 1));
  const least = Math.max(place === 'between' ? 2 : 1, Math.ceil((pouredFor(depth, wish) * area) / face / step - 1e-9));
  const amounts = Array.from({ length: more + 1 }, (_, i) => least + i);
  if (place === 'low') return amounts.map((spoons) => choice(spoons * step, 0));
  if (place === 'high') return amounts.map((spoons) => choice(0, spoons * step));
  return amounts.flatMap((spoons) => {
    const splits = new Set(EITHER_WAY.map((other) => Math.min(spoons - 1, Math.max(1, Math.round(share * spoons) + other))));
    return [...splits].map((upper) => choice((spoons - upper) * step, upper * step));
  });
}

/** No pot may lie less bare than the one before where a fade thins out. */
const BACKWARDS = 1e6;

const stepCost = (one: PotChoice, next: PotChoice): number =>
  deltaE2000(one.lab, next.lab) ** 2 + (one.ofTo + next.ofTo === 0 && next.bare <= one.bare ? BACKWARDS : 0);

/** One choice a pot, so that the squares of all steps add up to least: the more alike the steps, the less. */
export function mostAlike(choices: readonly (readonly PotChoice[])[]): readonly PotChoice[] {
  let best = choices[0].map((choice) => ({ sum: 0, way: [choice] }));
  for (const pot of choices.slice(1))
    best = pot.map((choice) =>
      best
        .map(({ sum, way }) => ({ sum: sum + stepCost(way[way.length - 1], choice), way: [...way, choice] }))
        .reduce((least, one) => (one.sum < least.sum ? one : least)),
    );
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
