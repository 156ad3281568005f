import { TINY } from './bound';
import type { Interval } from './difference-bounds';

/** What must not fall below zero: each share times its own, and what is left of the whole times `rest`; −∞ where nothing may be left. */
export interface ShareLine {
  readonly own: Float64Array;
  readonly rest: number;
}

export const widthOf = ([low, high]: Interval): number => high - low;

/** How large a box is: the product of its widths, none counted as nothing. */
export const sizeOf = (shares: readonly Interval[]): number => shares.reduce((size, share) => size * (widthOf(share) + 1e-3), 1);

/** The most a line comes to within ranges. */
export function mostIn({ own, rest }: ShareLine, shares: readonly Interval[]): number {
  let free = 1;
  let sum = 0;
  for (let p = 0; p < own.length; p += 1) {
    free -= shares[p][0];
    sum += shares[p][0] * own[p];
  }
  const order = shares.map((_, p) => p).sort((one, other) => own[other] - own[one]);
  for (const p of order) {
    if (own[p] <= rest) break;
    const more = Math.min(free, widthOf(shares[p]));
    sum += more * own[p];
    free -= more;
  }
  return free > 1e-12 ? sum + free * rest : sum;
}

/**
 * Ranges cut to where every line can still be met and the shares add up to the whole, or to no more where
 * something may be left.
 * @returns null where they can’t
 */
export function cutTo(lines: readonly ShareLine[], ranges: readonly Interval[], left: boolean): readonly Interval[] | null {
  const low = ranges.map((range) => range[0]);
  const high = ranges.map((range) => range[1]);
  const count = ranges.length;
  for (let pass = 0; pass < 3; pass += 1) {
    if (!toTheWhole(low, high, left)) return null;
    for (const { own, rest } of lines) {
      // What a share more of each wins over the rest; where nothing is left, over the last of them.
      const others = left ? rest : own[count - 1];
      let most = others;
      for (let p = 0; p < count; p += 1) most += Math.max(low[p] * (own[p] - others), high[p] * (own[p] - others));
      if (most < -TINY) return null;
      for (let p = 0; p < count; p += 1) {
        const wins = own[p] - others;
        if (wins === 0) continue;
        const without = most - Math.max(low[p] * wins, high[p] * wins);
        const end = (-TINY - without) / wins;
        if (wins > 0 && end > low[p]) low[p] = end;
        if (wins < 0 && end < high[p]) high[p] = end;
        if (low[p] > high[p]) return null;
        most = without + Math.max(low[p] * wins, high[p] * wins);
      }
    }
  }
  return toTheWhole(low, high, left) ? low.map((from, p): Interval => [from, high[p]]) : null;
}

function toTheWhole(low: number[], high: number[], left: boolean): boolean {
  let [least, most] = [0, 0];
  for (let p = 0; p < low.length; p += 1) {
    least += low[p];
    most += high[p];
  }
  if (least > 1 + TINY || (!left && most < 1 - TINY)) return false;
  for (let p = 0; p < low.length; p += 1) {
    const [from, to] = [low[p], high[p]];
    if (!left) low[p] = Math.max(from, 1 - (most - to));
    high[p] = Math.min(to, 1 - (least - from));
    if (low[p] > high[p] + TINY) return false;
    if (low[p] > high[p]) high[p] = low[p];
  }
  return true;
}
