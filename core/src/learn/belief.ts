/**
 * What is known of a quantity above nothing: its logarithm is normal around that of `value`, and `spread` is its standard
 * deviation, which for small ones is a share of the value.
 */
export interface Belief {
  readonly value: number;
  readonly spread: number;
}

/** What something that was measured says of an unknown. */
export interface Measured {
  /** in a unit of its own, with one standard deviation */
  readonly observed: number;
  readonly error: number;
  /** what would be measured if the unknown were so much, and by how much more for each more of it */
  expected(value: number): { readonly reads: number; readonly slope: number };
}

/** Steps of Gauss and Newton; each halves or better what is left, so these are plenty. */
const STEPS = 40;
const SETTLED = 1e-10;
/** No unknown is some fifty times what was thought of it: what says so is a slip, and must not run away with the answer. */
const FARTHEST = 4;

/**
 * What is known after measuring: the most likely value, with its curvature as the spread. The prior is one more reading, of the
 * logarithm (normal prior, normal errors: Gauss–Newton, then by secants; J. Nocedal and S. Wright, "Numerical Optimization", chapters 10 and 8).
 * @param near where the answer is looked for first
 * @param settled a share of the value; a last step smaller than this is the end
 */
export function learn(prior: Belief, readings: readonly Measured[], near: Belief = prior, settled = SETTLED): Belief {
  const start = Math.log(prior.value);
  let at = Math.log(near.value);
  let here = lookedAt(at, prior, readings);
  let bend = here.curve;
  for (let step = 0; step < STEPS; step += 1) {
    let move = Math.min(start + FARTHEST - at, Math.max(start - FARTHEST - at, -here.slope / bend));
    let next = lookedAt(at + move, prior, readings);
    // A model that bends may be stepped over: half as far until it is better.
    while (next.cost > here.cost && Math.abs(move) > settled) {
      move /= 2;
      next = lookedAt(at + move, prior, readings);
    }
    if (next.cost > here.cost) break;
    at += move;
    bend = bendOf((next.slope - here.slope) / move, next.curve);
    here = next;
    if (Math.abs(move) < settled) break;
  }
  return { value: Math.exp(at), spread: 1 / Math.sqrt(here.curve) };
}

/**
 * How the slope really bent over the last step, which spares every other look at all readings; the curvature where that says
 * nothing, as on a step that was next to none.
 */
const bendOf = (secant: number, curve: number): number => (secant > curve / 3 && secant < 3 * curve ? secant : curve);

/** What all of it costs at a logarithm of the value, half its slope there, and half its curvature as Gauss and Newton have it. */
function lookedAt(
  at: number,
  prior: Belief,
  readings: readonly Measured[],
): { readonly cost: number; readonly slope: number; readonly curve: number } {
  const value = Math.exp(at);
  const off = (at - Math.log(prior.value)) / prior.spread;
  let cost = off ** 2;
  let slope = off / prior.spread;
  let curve = 1 / prior.spread ** 2;
  for (const { observed, error, expected } of readings) {
    const { reads, slope: by } = expected(value);
    const left = (observed - reads) / error;
    // By how much of its error the reading moves for each more of the logarithm.
    const moves = (by * value) / error;
    cost += left ** 2;
    slope -= moves * left;
    curve += moves ** 2;
  }
  return { cost, slope, curve };
}
