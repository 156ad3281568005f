import { piecesOf, radiusOf, type Station } from './station';

/** A point of the wall: degrees from the seam, mm above the foot, mm from the axis. */
export interface WallSpot {
  readonly angle: number;
  readonly height: number;
  readonly radius: number;
}

/**
 * How far two points of a wall are apart over its surface, mm, at least: exact on one cone, which lies flat; over a
 * bend, the straight line through the air, which no way over the surface is shorter than.
 */
export function wallDistance(stations: readonly Station[], one: WallSpot, other: WallSpot): number {
  let turn = Math.abs(one.angle - other.angle) % 360;
  if (turn > 180) turn = 360 - turn;
  const radians = (turn * Math.PI) / 180;
  const rise = other.height - one.height;
  const piece = piecesOf(stations).find(([lower, upper]) => holds(lower, upper, one) && holds(lower, upper, other));
  if (!piece) {
    const { radius: a } = one;
    const { radius: b } = other;
    return Math.sqrt(Math.max(0, a * a + b * b - 2 * a * b * Math.cos(radians) + rise * rise));
  }
  const [lower, upper] = piece;
  const lean = leanOf(lower, upper);
  if (lean < 1e-9) return Math.hypot(one.radius * radians, rise);
  // Distances from the cone's tip, and the angle between them once it lies flat.
  const [a, b] = [one.radius / lean, other.radius / lean];
  const flat = radians * lean;
  return flat >= Math.PI ? a + b : Math.sqrt(Math.max(0, a * a + b * b - 2 * a * b * Math.cos(flat)));
}

/** How far a piece leans: 0 upright, 1 flat as a plate (the sine of the angle between wall and axis). */
function leanOf(lower: Station, upper: Station): number {
  const change = radiusOf(upper.circumference) - radiusOf(lower.circumference);
  return Math.abs(change) / Math.hypot(upper.height - lower.height, change);
}

/** How much longer the way round is than straight over the surface, at most: π/2 on a plate, 1 on a cylinder. */
export function mostRoundabout(stations: readonly Station[]): number {
  const lean = Math.max(...piecesOf(stations).map(([lower, upper]) => leanOf(lower, upper)));
  const half = (Math.PI / 2) * lean;
  return half < 1e-6 ? 1 : half / Math.sin(half);
}

/** mm that a motif reaches further on a wall than on its flat sheet, at most anywhere: at a piece's narrow end. */
export const mostSpread = (stations: readonly Station[], reach: number): number =>
  Math.max(
    ...piecesOf(stations).map(([lower, upper]) => {
      const narrow = lower.circumference < upper.circumference ? lower : upper;
      const spot = { angle: 0, height: narrow.height, radius: radiusOf(narrow.circumference) };
      return reachOnWall([lower, upper], spot, reach) - reach;
    }),
  );

const holds = (lower: Station, upper: Station, { height }: WallSpot): boolean => height >= lower.height && height <= upper.height;

/**
 * How far from its middle a motif really reaches on a wall that leans: a sheet laid level by level spreads towards a
 * cone's tip, where the wall is narrower.
 * @param reach mm on the flat sheet
 */
export function reachOnWall(stations: readonly Station[], { height, radius }: WallSpot, reach: number): number {
  const piece = piecesOf(stations).find(([lower, upper]) => height >= lower.height && height <= upper.height);
  if (!piece) return reach;
  const [lower, upper] = piece;
  const lean = leanOf(lower, upper);
  const tip = lean < 1e-9 ? Infinity : radius / lean;
  // y² + x²·s/(s−y) at x = y = reach/√2 and all others: at most reach²·s/(s−reach).
  return tip === Infinity ? reach : reach * Math.sqrt(tip / Math.max(tip - reach, tip / 4));
}
