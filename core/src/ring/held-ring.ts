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
  const ring = cheapestRing(plain.map((row, i) => row.map((one, j) => (isHeld(i, j) ? one - FAST : one))));
  // What no free order beats, none that holds pairs does either.
  const bound = ringBound(plain);
  if (!open) return { order: ring, bound };
  const end = ring.indexOf(n);
  const order = [...ring.slice(end + 1), ...ring.slice(0, end)];
  return { order: first !== null && order[0] !== first ? order.reverse() : order, bound };
}
