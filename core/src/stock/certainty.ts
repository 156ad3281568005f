import { usualSpread } from '../learn';
import type { Glitter } from '../glitter';

/** What a jar's flake data rests on, worst first. */
export const bases = ['typical', 'label', 'weighed'] as const;
export type Basis = (typeof bases)[number];

/** One standard deviation of the solid share, as a share of it: usual values for a cut, a data sheet, a weighed spoon. */
export const shareSpread: Readonly<Record<Basis, number>> = { typical: 0.15, label: 0.08, weighed: 0.04 };

/** Standard deviation of how level a levelled spoon is, as a share of it. */
const LEVEL = 0.04;

/** One standard deviation of what a glue holds, as a share of it: less once it was weighed on a cup. */
export const holdSpread = ({ learnt }: { readonly learnt?: { readonly spread: number } }): number =>
  learnt?.spread ?? usualSpread.hold;

export class WeighingError extends Error {
  override readonly name = 'WeighingError';
}

/** What was known and how well, and what a measurement says and how well: what is known after (normal prior, normal likelihood). */
export function narrowed(known: number, spread: number, measured: number, error: number): { value: number; spread: number } {
  const [weight, other] = [1 / spread ** 2, 1 / error ** 2];
  return { value: (known * weight + measured * other) / (weight + other), spread: Math.sqrt(1 / (weight + other)) };
}

/**
 * The solid share of a spoonful after weighing one, levelled off.
 * @param spoon ml it holds
 * @param grams what is in it, without the spoon
 * @param step g the scale reads to
 * @throws WeighingError when such a weight can't be of this spoon
 */
export function weighedShare(flake: Glitter, basis: Basis, spoon: number, grams: number, step = 0.1): number {
  if (!(spoon > 0 && grams > 0))
    throw new WeighingError('Type what the spoon holds and what is in it weighs, both above nothing.');
  const measured = grams / spoon / flake.density;
  if (!(measured >= 0.02 && measured <= 0.8))
    throw new WeighingError(
      `A level spoon of ${spoon} ml with ${grams} g in it would be ${Math.round(measured * 100)} % flake, which no glitter is. Check the spoon and that the scale was at nought.`,
    );
  const error = measured * Math.hypot(LEVEL, step / 2 / grams);
  return Number(narrowed(flake.solidShare, flake.solidShare * shareSpread[basis], measured, error).value.toFixed(4));
}
