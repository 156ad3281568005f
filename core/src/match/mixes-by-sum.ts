import { TINY } from './bound';
import { MixColours } from './mix-colour';
import type { Mix } from './mix-question';

/** Which jars to go through, which of them a mix must have, and what a mix must satisfy. */
export interface SumSearch {
  readonly colours: MixColours;
  /** places of the jars in the question, those to be kept first */
  readonly jars: readonly number[];
  readonly keep: number;
  readonly size: number;
  /** what must not fall below zero in sum: worth of a step of each jar, by its place in the question */
  worths(): readonly Float64Array[];
  /** @returns whether to go on */
  found(parts: Mix['parts']): boolean;
}

/**
 * Every mix of so many jars, on the spoon’s step, whose parts’ worths add up to no less than zero, each of
 * them. Whole ranges of amounts go at once: while jars are still to be picked, by the best that the rest could
 * add; for the last two, as the range of steps that satisfies every sum.
 * @returns steps through a generator, so that whoever asked can look up: the share of the work done
 */
export function* mixesBySum(search: SumSearch): Generator<number> {
  const { colours, jars, keep, size } = search;
  const { steps, most } = colours;
  const count = jars.length;
  if (size > count || steps < size) return;
  const firsts = keep > 0 ? 1 : count - size + 1;
  for (let first = 0; first < firsts; first += 1) {
    // Each round starts from the tightest bounds known by then.
    const table = worthTable(search);
    const picked: { jar: number; steps: number }[] = [];
    let enough = false;
    const start = new Float64Array(table.width);
    if (size === 1) tryLast(first, steps, start);
    else if (size === 2) tryPairs(first, first, steps, start);
    else descend(first, first, steps, size, start);
    yield (first + 1) / firsts;
    if (enough) return;

    function descend(from: number, to: number, rest: number, level: number, sums: Float64Array): void {
      const { width, value, best } = table;
      const left = level - 1;
      for (let p = from; p <= Math.min(to, count - level); p += 1) {
        const cap = Math.min(most[jars[p]], rest - left);
        for (let w = 1; w <= cap && !enough; w += 1) {
          const next = new Float64Array(width);
          let hopeless = false;
          for (let c = 0; c < width && !hopeless; c += 1) {
            next[c] = sums[c] + w * value[c * count + p];
            hopeless = next[c] + (rest - w) * best[c * (count + 1) + p + 1] < -TINY;
          }
          if (hopeless) continue;
          picked.push({ jar: jars[p], steps: w });
          const last = size - left < keep ? p + 1 : count - 1;
          if (left === 2) tryPairs(p + 1, last, rest - w, next);
          else descend(p + 1, last, rest - w, left, next);
          picked.pop();
        }
      }
    }

    function tryPairs(from: number, to: number, rest: number, sums: Float64Array): void {
      const { width, value } = table;
      const second = size - 1 < keep;
      for (let p = from; p <= Math.min(to, count - 2) && !enough; p += 1) {
        for (let q = p + 1; q <= (second ? p + 1 : count - 1); q += 1) {
          let low = Math.max(1, rest - most[jars[q]]);
          let high = Math.min(rest - 1, most[jars[p]]);
          for (let c = 0; c < width && low <= high; c += 1) {
            const flat = sums[c] + rest * value[c * count + q];
            const slope = value[c * count + p] - value[c * count + q];
            if (slope > 0) low = Math.max(low, Math.ceil((-TINY - flat) / slope));
            else if (slope < 0) high = Math.min(high, Math.floor((-TINY - flat) / slope));
            else if (flat < -TINY) high = -1;
          }
          for (let w = low; w <= high && !enough; w += 1)
            enough = !search.found([...picked, { jar: jars[p], steps: w }, { jar: jars[q], steps: rest - w }]);
        }
      }
    }

    function tryLast(p: number, rest: number, sums: Float64Array): void {
      const { width, value } = table;
      if (rest > most[jars[p]]) return;
      for (let c = 0; c < width; c += 1) if (sums[c] + rest * value[c * count + p] < -TINY) return;
      enough = !search.found([{ jar: jars[p], steps: rest }]);
    }
  }
}

/** What a step of each jar adds to each sum, and the most that any later jar could add. */
function worthTable({ jars, worths }: SumSearch): { width: number; value: Float64Array; best: Float64Array } {
  const all = worths();
  const count = jars.length;
  const value = new Float64Array(all.length * count);
  const best = new Float64Array(all.length * (count + 1)).fill(-Infinity);
  all.forEach((worth, c) => {
    for (let p = count - 1; p >= 0; p -= 1) {
      const own = worth[jars[p]];
      value[c * count + p] = own;
      best[c * (count + 1) + p] = Math.max(own, best[c * (count + 1) + p + 1]);
    }
  });
  return { width: all.length, value, best };
}
