import { xyzOfLab, type Lab } from '../colour';

/** A half space of XYZ: all colours with `x·X + y·Y + z·Z + at ≥ 0`. */
export interface Bound {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly at: number;
}

/** Rounding must not rule out what lies on a bound. */
export const TINY = 1e-9;

/** How far a colour lies inside a bound; below zero it is outside. */
export const inside = (bound: Bound, [X, Y, Z]: readonly number[]): number => bound.x * X + bound.y * Y + bound.z * Z + bound.at;

export const liesIn = (bounds: readonly Bound[], lab: Lab): boolean => {
  const xyz = xyzOfLab(lab);
  return bounds.every((bound) => inside(bound, xyz) >= -TINY);
};
