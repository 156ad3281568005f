import { chromaOf, deltaE2000, labOf, mixSpectra, reflectanceOf } from '../colour';

/** The most colours whose order is found exactly; beyond it the search is a good guess. */
export const EXACT_UP_TO = 12;

/** OKLCh chroma of two colours and of an even mix of them. */
export function neighbourChroma(one: string, other: string): { one: number; other: number; mixed: number } {
  const [a, b] = [reflectanceOf(one), reflectanceOf(other)];
  return { one: chromaOf(a), other: chromaOf(b), mixed: chromaOf(mixSpectra([a, b], [0.5, 0.5])) };
}

/** What it costs to be neighbours: `100·dulling + 0.25·ΔE00`, dulling of an even mix in OKLCh chroma. */
export function neighbourCost(one: string, other: string): number {
  const chroma = neighbourChroma(one, other);
  const dulling = Math.max(0, (chroma.one + chroma.other) / 2 - chroma.mixed);
  return 100 * dulling + 0.25 * deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));
}

/**
 * The order of colours round the cup that keeps neighbours clean: a least-cost cycle, exact up to
 * 12 (M. Held & R. Karp, “A dynamic programming approach to sequencing problems”, 1962), by 2-opt and moved stretches beyond.
 * @returns `order` of indices, the first colour first, and the cycle's `cost`
 */
export function ringOrder(colours: readonly string[]): { order: readonly number[]; cost: number } {
  const cost = colours.map((one) => colours.map((other) => neighbourCost(one, other)));
  const order = cheapestRing(cost);
  return { order, cost: order.reduce((sum, at, i) => sum + (order.length < 2 ? 0 : cost[at][order[(i + 1) % order.length]]), 0) };
}

/** The cheapest way round: exact up to 12, beyond as good as 2-opt and moved stretches get it. */
export const cheapestRing = (cost: readonly (readonly number[])[]): readonly number[] =>
  cost.length <= EXACT_UP_TO ? heldKarp(cost) : twoOpt(cost);

function heldKarp(cost: readonly (readonly number[])[]): number[] {
  const n = cost.length;
  if (n < 3) return [...cost.keys()];
  const full = 1 << (n - 1);
  const best = Array.from({ length: full }, () => new Float64Array(n - 1).fill(Infinity));
  const came = Array.from({ length: full }, () => new Int8Array(n - 1).fill(-1));
  for (let last = 0; last < n - 1; last += 1) best[1 << last][last] = cost[0][last + 1];
  for (let visited = 1; visited < full; visited += 1) {
    for (let last = 0; last < n - 1; last += 1) {
      const here = best[visited][last];
      if (!(visited & (1 << last)) || here === Infinity) continue;
      for (let next = 0; next < n - 1; next += 1) {
        if (visited & (1 << next)) continue;
        const then = visited | (1 << next);
        const sum = here + cost[last + 1][next + 1];
        if (sum < best[then][next]) {
          best[then][next] = sum;
          came[then][next] = last;
        }
      }
    }
  }
  let last = 0;
  for (let i = 1; i < n - 1; i += 1)
    if (best[full - 1][i] + cost[i + 1][0] < best[full - 1][last] + cost[last + 1][0] - 1e-12) last = i;
  const order: number[] = [];
  for (let visited = full - 1; last >= 0;) {
    order.unshift(last + 1);
    const before = came[visited][last];
    visited &= ~(1 << last);
    last = before;
  }
  // A ring reads the same both ways round; of the two, the one whose second is the smaller index.
  return order[0] <= order[order.length - 1] ? [0, ...order] : [0, ...order.reverse()];
}

/** Begun at each colour in turn with the nearest next, then bettered until neither a turned nor a moved stretch helps. */
function twoOpt(cost: readonly (readonly number[])[]): number[] {
  const costOf = (order: readonly number[]) => order.reduce((sum, at, i) => sum + cost[at][order[(i + 1) % order.length]], 0);
  let best: number[] | null = null;
  for (let start = 0; start < cost.length; start += 1) {
    const order = nearestNext(cost, start);
    while (turned(cost, order) || moved(cost, order));
    if (best === null || costOf(order) < costOf(best) - 1e-9) best = order;
  }
  const found = best ?? [];
  const first = found.indexOf(0);
  return [...found.slice(first), ...found.slice(0, first)];
}

function nearestNext(cost: readonly (readonly number[])[], start: number): number[] {
  const order = [start];
  const left = new Set(cost.keys());
  left.delete(start);
  while (left.size > 0) {
    const last = order[order.length - 1];
    const next = [...left].reduce((best, one) => (cost[last][one] < cost[last][best] ? one : best));
    left.delete(next);
    order.push(next);
  }
  return order;
}

/** A stretch turned round where that costs less; whether any was. */
function turned(cost: readonly (readonly number[])[], order: number[]): boolean {
  const n = order.length;
  let better = false;
  for (let i = 0; i < n - 2; i += 1)
    for (let j = i + 2; j < n - (i === 0 ? 1 : 0); j += 1) {
      const [a, b, c, d] = [order[i], order[i + 1], order[j], order[(j + 1) % n]];
      if (cost[a][c] + cost[b][d] < cost[a][b] + cost[c][d] - 1e-9) {
        order.splice(i + 1, j - i, ...order.slice(i + 1, j + 1).reverse());
        better = true;
      }
    }
  return better;
}

/** A stretch of up to three moved elsewhere where that costs less; whether any was (I. Or, 1976). */
function moved(cost: readonly (readonly number[])[], order: number[]): boolean {
  const n = order.length;
  for (let length = 1; length <= 3; length += 1)
    for (let from = 0; from < n; from += 1) {
      const turnedTo = [...order.slice(from), ...order.slice(0, from)];
      const stretch = turnedTo.slice(0, length);
      const rest = turnedTo.slice(length);
      const [first, last] = [stretch[0], stretch[length - 1]];
      const [before, after] = [rest[rest.length - 1], rest[0]];
      const saved = cost[before][first] + cost[last][after] - cost[before][after];
      for (let at = 0; at < rest.length - 1; at += 1) {
        const [a, b] = [rest[at], rest[at + 1]];
        const straight = cost[a][first] + cost[last][b] - cost[a][b];
        const back = cost[a][last] + cost[first][b] - cost[a][b];
        if (Math.min(straight, back) < saved - 1e-9) {
          order.splice(
            0,
            n,
            ...rest.slice(0, at + 1),
            ...(straight <= back ? stretch : stretch.reverse()),
            ...rest.slice(at + 1),
          );
          return true;
        }
      }
    }
  return false;
}
