import { ringBound } from './ring-bound';
import { cheapestRing } from './ring-order';

/** More than any ring can cost: who is worth so much is always chosen. */
const FAST = 1e5;

/**
 * The cheapest order with some pairs held together.
 * @param open a way with two ends instead of a ring: closed by a place that costs nothing to anyone
 * @param first on an open way, the one that begins; null for any
 * @returns the order, and a cost that none beats
 */
export function heldRing(
  cost: readonly (readonly number[])[],
  pairs: readonly (readonly [number, number])[],
  open: boolean,
  first: number | null,
): { readonly order: readonly number[]; readonly bound: number } {
  const n = cost.length;
  const held = pairs.map(([one, other]) => [one, other] as const);
  if (open && first !== null && first >= 0) held.push([n, first]);
  const isHeld = (i: number, j: number) => held.some(([one, other]) => (one === i && other === j) || (one === j && other === i));
  const size = open ? n + 1 : n;
  const plain = Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (__, j) => (i < n && j < n ? cost[i][j] : 0)),
  );
  const fast = plain.map((row, i) => row.map((one, j) => (isHeld(i, j) ? one - FAST : one)));
  const ring = keptTogether(cheapestRing(fast), held);
  const bound = ringBound(plain, isHeld);
  if (!open) return { order: ring, bound };
  const end = ring.indexOf(n);
  const order = [...ring.slice(end + 1), ...ring.slice(0, end)];
  return { order: first !== null && order[0] !== first ? order.reverse() : order, bound };
}

/**
 * The same ring with held pairs side by side, where the search (beyond the exact sizes) left any apart: chains of pairs
 * are put whole where their first stands.
 */
function keptTogether(ring: readonly number[], held: readonly (readonly [number, number])[]): readonly number[] {
  const n = ring.length;
  const beside = (one: number, other: number) => {
    const apart = Math.abs(ring.indexOf(one) - ring.indexOf(other));
    return apart === 1 || apart === n - 1;
  };
  if (held.every(([one, other]) => beside(one, other))) return ring;
  const chains = chainsOf(held);
  const put = new Set<readonly number[]>();
  return ring.flatMap((one) => {
    const chain = chains.find((some) => some.includes(one));
    if (!chain) return [one];
    if (put.has(chain)) return [];
    put.add(chain);
    return chain;
  });
}

/** Held pairs joined up, each chain from one of its ends to the other. */
function chainsOf(held: readonly (readonly [number, number])[]): readonly (readonly number[])[] {
  const partners = (one: number) => held.flatMap(([a, b]) => (a === one ? [b] : b === one ? [a] : []));
  const all = [...new Set(held.flat())];
  const seen = new Set<number>();
  const ends = all.filter((one) => partners(one).length === 1);
  return [...ends, ...all].flatMap((start) => {
    if (seen.has(start)) return [];
    const chain: number[] = [];
    for (let next: number | undefined = start; next !== undefined; next = partners(next).find((one) => !seen.has(one))) {
      seen.add(next);
      chain.push(next);
    }
    return [chain];
  });
}
