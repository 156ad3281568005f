import { deltaE2000, xyzOfLab, WHITE_POINT, type Lab, type Triple } from '../colour';
import type { Bound } from './bound';
import { differenceAtLeast, eighths, labReach, type Cell } from './difference-bounds';

/** The plane may stand so much further out than it must, as a share of the way from the target. */
const CLOSE = 0.01;
/** ΔE00 from a target at which the difference has no direction worth a plane. */
const TOO_NEAR = 0.2;
/** No colour that light can come back in lies further from grey, in a or b. */
export const WIDEST = 200;

/**
 * The half space that turns its face to the best mix known: it holds every colour within a difference of the
 * target, and its plane stands across the way from that mix to the target. Where no mix reaches the target
 * the mixes there are lie on the far side of it, so this one rules out at once what planes in fixed
 * directions leave open. Its place is found best first: the surroundings are cut where they reach furthest.
 * @param from the best mix’s colour, L*a*b*, D65
 * @param within ΔE00, above 0
 * @param cuts how much work it is worth: cutting ends there, close or not
 * @returns null where the mix lies so near that it faces nowhere, or the surroundings know no end
 */
export function boundFacing(target: Lab, within: number, from: Lab, cuts: number): Bound | null {
  if (deltaE2000(target, from) < TOO_NEAR) return null;
  const away = differenceAlong(target, from);
  return {
    x: -away[0],
    y: -away[1],
    z: -away[2],
    at: furthestAlong({ target, within, along: away, cuts, enough: closeTo(target, within, from, away) }),
  };
}

/** How the difference from a target grows with X, Y and Z, scaled to a length of 1. */
export function differenceAlong(target: Lab, from: Lab): Triple {
  const STEP = 1e-3;
  const [byL, byA, byB] = ([0, 1, 2] as const).map((axis) => {
    const [one, other] = [-STEP, STEP].map((by) =>
      deltaE2000(target, from.map((v, i) => (i === axis ? v + by : v)) as unknown as Lab),
    );
    return (other - one) / (2 * STEP);
  });
  // Along X only fx changes, by 1/slope, and with it a; along Z fz and b; along Y L and both.
  const fy = (from[0] + 16) / 116;
  const slopes = [fy + from[1] / 500, fy, fy - from[2] / 200].map((f, axis) => WHITE_POINT[axis] * slopeOf(f));
  const xyz = [(500 * byA) / slopes[0], (116 * byL - 500 * byA + 200 * byB) / slopes[1], (-200 * byB) / slopes[2]];
  const length = Math.hypot(...xyz) || 1;
  return [xyz[0] / length, xyz[1] / length, xyz[2] / length];
}

/** How fast a tristimulus value grows with its cube root: CIE 15, with the straight piece near black. */
const slopeOf = (f: number): number => 3 * Math.max(f, 6 / 29) ** 2;
/** How fast that slope itself grows along L at most, up to there: bounds how far a curve bulges over its chord. */
const bendOf = (f: number): number => (6 * Math.max(f, 6 / 29)) / 116 ** 2;

interface Piece {
  readonly cell: Cell;
  readonly most: number;
}

const sumAlong = (along: Triple, lab: Lab): number => {
  const xyz = xyzOfLab(lab);
  return along[0] * xyz[0] + along[1] * xyz[1] + along[2] * xyz[2];
};

/** A little further than the colour that lies within the difference on the straight way from the target to the mix. */
function closeTo(target: Lab, within: number, from: Lab, along: Triple): number {
  const at = (share: number) => target.map((value, axis) => value + (from[axis] - value) * share) as unknown as Lab;
  let [near, far] = [0, 1];
  for (let halving = 0; halving < 20; halving += 1) {
    const middle = (near + far) / 2;
    if (deltaE2000(target, at(middle)) < within) near = middle;
    else far = middle;
  }
  const [centre, edge] = [sumAlong(along, target), sumAlong(along, at(near))];
  return edge + CLOSE * Math.abs(edge - centre);
}

interface Surroundings {
  readonly target: Lab;
  readonly within: number;
  readonly along: Triple;
  readonly enough: number;
  readonly cuts: number;
}

/** An upper end of `along · XYZ` over all colours within a difference, `enough` or, where that takes too long, above it. */
function furthestAlong({ target, within, along, enough, cuts }: Surroundings): number {
  const pieceOf = (cell: Cell): Piece => ({ cell, most: mostOver(cell, along) });
  const reach = labReach(target, within);
  const [L, a, b] = target;
  const open: Piece[] = [
    pieceOf([
      [Math.max(0, L - reach.L), Math.min(100, L + reach.L)],
      [Math.max(-WIDEST, a - reach.ab), Math.min(WIDEST, a + reach.ab)],
      [Math.max(-WIDEST, b - reach.ab), Math.min(WIDEST, b + reach.ab)],
    ]),
  ];
  let most = open[0].most;
  for (let cut = 0; cut < cuts && most > enough && open.length > 0; cut += 1) {
    let top = 0;
    for (let at = 1; at < open.length; at += 1) if (open[at].most > open[top].most) top = at;
    most = open[top].most;
    const { cell } = open[top];
    const last = open.pop();
    if (last && top < open.length) open[top] = last;
    for (const part of eighths(cell)) if (differenceAtLeast(target, part, within) <= within) open.push(pieceOf(part));
  }
  return most;
}

/** X grows with a and Z falls with b, so those ends are known; along L the sum of the three may bulge between its ends. */
export function mostOver([l, a, b]: Cell, along: Triple): number {
  const atA = along[0] > 0 ? a[1] : a[0];
  const atB = along[2] > 0 ? b[0] : b[1];
  const most = Math.max(sumAlong(along, [l[0], atA, atB]), sumAlong(along, [l[1], atA, atB]));
  const fy = (l[1] + 16) / 116;
  const bend =
    Math.max(0, -along[0]) * WHITE_POINT[0] * bendOf(fy + atA / 500) +
    Math.max(0, -along[1]) * WHITE_POINT[1] * bendOf(fy) +
    Math.max(0, -along[2]) * WHITE_POINT[2] * bendOf(fy - atB / 200);
  return most + (bend * (l[1] - l[0]) ** 2) / 8;
}
