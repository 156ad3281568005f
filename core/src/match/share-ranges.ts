import { TINY } from './bound';
import type { Interval } from './difference-bounds';
import { ShareSums, widthOf } from './share-sums';

/** What must not fall below zero: each share times its own, in sum. */
export type ShareLine = Float64Array;

/** How large a box is: the product of its widths, none counted as nothing. */
export const sizeOf = (shares: readonly Interval[]): number => shares.reduce((size, share) => size * (widthOf(share) + 1e-3), 1);

/**
 * Ranges cut to where every line can still be met and the shares add up to the whole. A share as far from
 * where a line is at its most costs at least what it lacks against the share filled up last (the reduced cost
 * of linear programming).
 * @returns null where they can’t
 */
export function cutTo(lines: readonly ShareLine[], ranges: readonly Interval[]): readonly Interval[] | null {
  const cut = ranges.map(([from, to]): [number, number] => [from, to]);
  if (!toTheWhole(cut)) return null;
  const sums = new ShareSums(cut);
  for (let pass = 0; pass < 3; pass += 1) {
    for (const line of lines) {
      sums.most(line);
      const { last } = sums;
      let most = last;
      for (let p = 0; p < cut.length; p += 1) most += Math.max(cut[p][0] * (line[p] - last), cut[p][1] * (line[p] - last));
      if (most < -TINY) return null;
      for (let p = 0; p < cut.length; p += 1) {
        const wins = line[p] - last;
        if (wins === 0) continue;
        const share = cut[p];
        const without = most - Math.max(share[0] * wins, share[1] * wins);
        const end = (-TINY - without) / wins;
        if (wins > 0 && end > share[0]) share[0] = end;
        if (wins < 0 && end < share[1]) share[1] = end;
        if (share[0] > share[1]) return null;
        most = without + Math.max(share[0] * wins, share[1] * wins);
      }
    }
    if (!toTheWhole(cut)) return null;
  }
  return cut;
}

function toTheWhole(cut: [number, number][]): boolean {
  let [least, most] = [0, 0];
  for (const [from, to] of cut) {
    least += from;
    most += to;
  }
  if (least > 1 + TINY || most < 1 - TINY) return false;
  for (const share of cut) {
    const [from, to] = share;
    share[0] = Math.max(from, 1 - (most - to));
    share[1] = Math.min(to, 1 - (least - from));
    if (share[0] > share[1] + TINY) return false;
    if (share[0] > share[1]) share[1] = share[0];
  }
  return true;
}
