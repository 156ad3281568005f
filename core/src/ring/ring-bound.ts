/**
 * What no ring through all these can cost less than: a cheapest tree over all but one, with that one's two cheapest
 * meetings, after each colour's meetings are made dearer or cheaper by a price of its own until the tree is nearly a
 * ring (M. Held & R. Karp, “The traveling-salesman problem and minimum spanning trees”, 1970).
 * @param cost of each pair's meeting, symmetric, at least three colours
 * @param isHeld pairs that every ring counted has: the tree is begun with them
 */
export function ringBound(cost: readonly (readonly number[])[], isHeld: (i: number, j: number) => boolean = () => false): number {
  const n = cost.length;
  const price = new Float64Array(n);
  let best = 0;
  let step = 2;
  const upper = cost.reduce((sum, row, i) => sum + row[(i + 1) % n], 0);
  for (let round = 0; round < ROUNDS; round += 1) {
    const { total, degree } = oneTree(cost, price, isHeld);
    const bound = total - 2 * price.reduce((sum, one) => sum + one, 0);
    if (bound > best) best = bound;
    else step *= 0.95;
    const off = degree.reduce((sum, one) => sum + (one - 2) ** 2, 0);
    // A tree in which every colour meets two others is a ring, and the cheapest there is.
    if (off === 0) break;
    const by = (step * Math.max(1e-9, upper - bound)) / off;
    for (let i = 0; i < n; i += 1) price[i] += by * (degree[i] - 2);
  }
  return best;
}

const ROUNDS = 400;
/** More than any meeting and its prices can cost. */
const HELD = 1e7;

/** The cheapest tree over all but the first (Prim), and the first's two cheapest meetings. */
function oneTree(
  cost: readonly (readonly number[])[],
  price: Float64Array,
  isHeld: (i: number, j: number) => boolean,
): { total: number; degree: Int32Array } {
  const n = cost.length;
  const paid = (a: number, b: number) => cost[a][b] + price[a] + price[b];
  // What has to be chosen comes before all else; what it costs is counted as it is.
  const rank = (a: number, b: number) => (isHeld(a, b) ? -HELD : 0) + paid(a, b);
  const degree = new Int32Array(n);
  const reached = new Float64Array(n).fill(Infinity);
  const from = new Int32Array(n).fill(1);
  const inTree = new Uint8Array(n);
  let total = 0;
  let at = 1;
  for (let count = 1; count < n - 1; count += 1) {
    inTree[at] = 1;
    let next = -1;
    for (let i = 1; i < n; i += 1) {
      if (inTree[i]) continue;
      if (rank(at, i) < reached[i]) {
        reached[i] = rank(at, i);
        from[i] = at;
      }
      if (next < 0 || reached[i] < reached[next]) next = i;
    }
    total += paid(from[next], next);
    degree[next] += 1;
    degree[from[next]] += 1;
    at = next;
  }
  const firsts = Array.from({ length: n - 1 }, (_, i) => i + 1).sort((a, b) => rank(0, a) - rank(0, b));
  for (const other of firsts.slice(0, 2)) {
    total += paid(0, other);
    degree[0] += 1;
    degree[other] += 1;
  }
  return { total, degree };
}
