import { keptDepth } from '../glitter';
import { learn, type Measured } from './belief';

/** Glitter on glue, weighed: flakes deep that were poured and that stayed, and one standard deviation of the latter. */
export interface HoldWeighing {
  readonly poured: number;
  readonly kept: number;
  readonly error: number;
}

/** By how many flakes deep more stays of a pour for each flake more that the glue holds. */
export function keptSlope(poured: number, hold: number): number {
  const bare = Math.exp(-poured / hold);
  return 1 - bare - (poured / hold) * bare;
}

/** What such a weighing says of what the glue holds: `kept = hold · (1 − e^(−poured/hold))`. */
export const holdMeasured = ({ poured, kept, error }: HoldWeighing): Measured => ({
  observed: kept,
  error,
  expected: (hold) => ({ reads: keptDepth(poured, hold), slope: keptSlope(poured, hold) }),
});

/**
 * What a glue holds, from weighings before and after a pour.
 * @param prior flakes deep, and one standard deviation as a share of it
 */
export function learnHold(
  prior: { readonly hold: number; readonly spread: number },
  weighings: readonly HoldWeighing[],
): { readonly hold: number; readonly spread: number } {
  const { value, spread } = learn({ value: prior.hold, spread: prior.spread }, weighings.map(holdMeasured));
  return { hold: value, spread };
}
