import { solveLinear } from '../colour';
import { outlineOf, outlineParts, type OutlinePart, type OutlinePoint, type PicturePoint } from '../cup-photo';
import type { Station } from '../vessel';
import { handlesOf, usualPose, type Pose } from './pose';
import { apartAt, type SmallPicture } from './small-picture';

/** Of 255: less is the grain of a photo, not an edge. */
const LEAST_EDGE = 9;
/** Times the grain of the picture: less isn't an edge either. */
const OVER_GRAIN = 3;
/** Of the strongest edge there: what is as strong, and farther out, is the outline; what lies within is the cup's own picture. */
const AS_STRONG = 0.25;
/** By how much of a pose its outline is looked at again, to see how it moves. */
const SHIFTS: Pose = [1, 1, 0.01, 0.01, 0.01, 0.02];
/** Pixels inwards over which one edge is spread at most. */
const WIDE = 3;
/** Pixels outwards and inwards, the farthest first; each for a few rounds. */
const REACHES = [26, 14, 8, 4] as const;
const ROUNDS = 5;
/** Of each shift: a pose that moves by less has come to rest. */
const STILL = 0.1;
/** Pixels by which an edge lies on the outline. */
const ON_IT = 2.5;

/** One standard deviation of where an edge is seen, pixels. */
const SEEN_WITHIN = 1.5;

export interface Fitted {
  readonly pose: Pose;
  /** share of each part's points that an edge lies on */
  readonly on: Readonly<Record<OutlinePart, number>>;
}

/**
 * Draws a cup's outline onto the edges of a picture: along the outward line of each of its points the outermost strong edge is
 * looked for, and the pose that lies nearest to all of them is solved for, farther edges counting less; again and again, from
 * ever nearer (C. Harris and C. Stennett, "RAPID, a video rate object tracker", BMVC 1990; J. Tukey's weights).
 * @param unseen a part that is left out: it may be of the colour of what is behind it
 */
export function fitted(
  picture: SmallPicture,
  stations: readonly Station[],
  start: Pose,
  unseen: OutlinePart | null = null,
): Fitted | null {
  let pose = start;
  for (const reach of REACHES)
    for (let round = 0; round < ROUNDS; round += 1) {
      const outline = outlineOf(stations, handlesOf(stations, pose));
      if (!outline) return null;
      const next = stepped(pose, {
        stations,
        outline,
        edges: outline.map((point) => (point.part === unseen ? null : edgeAlong(picture, point, reach))),
        reach,
      });
      if (!next) return null;
      const still = Math.max(...next.map((value, k) => Math.abs(value - pose[k]) / SHIFTS[k])) < STILL;
      pose = next;
      if (still) break;
    }
  const outline = outlineOf(stations, handlesOf(stations, pose));
  if (!outline) return null;
  const on = (part: OutlinePart) => {
    const own = outline.filter((point) => point.part === part);
    return own.filter((point) => Math.abs(edgeAlong(picture, point, 2 * ON_IT) ?? Infinity) <= ON_IT).length / own.length;
  };
  return { pose, on: Object.fromEntries(outlineParts.map((part) => [part, on(part)])) as Record<OutlinePart, number> };
}

/** How far out the outline's edge lies from a point, pixels; null where there is none within reach. */
function edgeAlong(picture: SmallPicture, { at: [x, y], out: [right, down] }: OutlinePoint, reach: number): number | null {
  const steps = 2 * Math.ceil(reach) + 1;
  const from = -Math.ceil(reach);
  const strengths = new Float64Array(steps);
  let strongest = 0;
  for (let i = 0; i < steps; i += 1) {
    const [outer, inner] = [from + i + 1.5, from + i - 1.5];
    strengths[i] = apartAt(picture, x + outer * right, y + outer * down, x + inner * right, y + inner * down);
    strongest = Math.max(strongest, strengths[i]);
  }
  const least = Math.max(LEAST_EDGE, OVER_GRAIN * picture.grain);
  if (strongest < least) return null;
  let i = steps - 1;
  while (strengths[i] < Math.max(least, AS_STRONG * strongest) || strengths[i] < (strengths[i - 1] ?? 0)) i -= 1;
  // A smoothed edge is as strong over a pixel or three: its middle, not where it begins.
  let [sum, weight] = [0, 0];
  for (let j = Math.max(0, i - WIDE); j <= Math.min(steps - 1, i + 1); j += 1) {
    const by = Math.max(0, strengths[j] - strengths[i] / 2);
    sum += by * (from + j);
    weight += by;
  }
  return sum / weight;
}

/** One step of Gauss and Newton towards the edges that were found. */
function stepped(
  pose: Pose,
  given: {
    readonly stations: readonly Station[];
    readonly outline: readonly OutlinePoint[];
    readonly edges: readonly (number | null)[];
    readonly reach: number;
  },
): Pose | null {
  const { stations, outline, edges, reach } = given;
  const moved: (readonly OutlinePoint[])[] = [];
  for (const [k, by] of SHIFTS.entries()) {
    const other = outlineOf(stations, handlesOf(stations, withMore(pose, k, by)));
    if (!other) return null;
    moved.push(other);
  }
  const matrix = SHIFTS.map(() => new Float64Array(SHIFTS.length + 1));
  const add = (slopes: readonly number[], left: number, weight: number) => {
    for (const [i, one] of slopes.entries()) {
      for (const [j, other] of slopes.entries()) matrix[i][j] += weight * one * other;
      matrix[i][SHIFTS.length] += weight * one * left;
    }
  };
  for (const [i, { at, out }] of outline.entries()) {
    const edge = edges[i];
    if (edge === null) continue;
    const tukey = (1 - Math.min(1, Math.abs(edge) / (1.3 * reach)) ** 2) ** 2;
    add(
      moved.map((other, k) => alongOut(at, other[i].at, out) / SHIFTS[k]),
      edge,
      tukey / SEEN_WITHIN ** 2 / 4,
    );
  }
  // What is usual decides where no edge does.
  for (const [k, spread] of usualPose.entries()) {
    const weight = 1 / spread ** 2 + 1e-6;
    matrix[k][k] += weight;
    matrix[k][SHIFTS.length] -= (1 / spread ** 2) * pose[k];
  }
  const step = solveLinear(matrix);
  if (!step.every(Number.isFinite)) return null;
  return step.reduce<Pose>((now, by, k) => withMore(now, k, by), pose);
}

const withMore = (pose: Pose, k: number, by: number): Pose =>
  pose.map((value, i) => (i === k ? value + by : value)) as unknown as Pose;
const alongOut = (from: PicturePoint, to: PicturePoint, out: PicturePoint): number =>
  (to[0] - from[0]) * out[0] + (to[1] - from[1]) * out[1];
