type Points = readonly (readonly [number, number])[];

const checked = new WeakMap<object, string | null>();

/**
 * What is wrong with an outline: too many points, or lines that cross.
 * @returns a sentence, or null when it is sound
 */
export function outlineFault(polygons: readonly (readonly Points[])[], mostPoints: number): string | null {
  const known = checked.get(polygons);
  if (known !== undefined) return known;
  const fault = findFault(polygons, mostPoints);
  checked.set(polygons, fault);
  return fault;
}

function findFault(polygons: readonly (readonly Points[])[], mostPoints: number): string | null {
  const points = polygons.flat(2).length;
  if (points > mostPoints)
    return `This outline has ${points} points; ${mostPoints} are the most. Simplify it in the drawing program and bring it in again.`;
  for (const ring of polygons.flat()) {
    const [first, last] = [ring[0], ring[ring.length - 1]];
    if (first[0] !== last[0] || first[1] !== last[1])
      return 'A line of this outline doesn’t close. Close it in the drawing program.';
  }
  return crossesItself(polygons.flat())
    ? 'Lines of this outline cross, so nobody can say what is inside. Join its shapes into one in the drawing program.'
    : null;
}

interface Segment {
  readonly ring: number;
  readonly index: number;
  readonly count: number;
  readonly a: readonly [number, number];
  readonly b: readonly [number, number];
}

/** Every pair of edges that share some x, from left to right; edges next to each other may touch. */
function crossesItself(rings: readonly Points[]): boolean {
  const segments: Segment[] = rings.flatMap((ring, r) =>
    ring.slice(1).map((b, index) => ({ ring: r, index, count: ring.length - 1, a: ring[index], b })),
  );
  segments.sort((s, t) => Math.min(s.a[0], s.b[0]) - Math.min(t.a[0], t.b[0]));
  for (let i = 0; i < segments.length; i += 1) {
    const right = Math.max(segments[i].a[0], segments[i].b[0]);
    for (let j = i + 1; j < segments.length && Math.min(segments[j].a[0], segments[j].b[0]) <= right; j += 1) {
      const [s, t] = [segments[i], segments[j]];
      const apart = Math.abs(s.index - t.index);
      if (s.ring === t.ring && (apart <= 1 || apart === s.count - 1)) continue;
      if (cross(s, t)) return true;
    }
  }
  return false;
}

const turn = (p: readonly [number, number], q: readonly [number, number], r: readonly [number, number]): number =>
  (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);

const cross = (s: Segment, t: Segment): boolean =>
  turn(s.a, s.b, t.a) * turn(s.a, s.b, t.b) < 0 && turn(t.a, t.b, s.a) * turn(t.a, t.b, s.b) < 0;
