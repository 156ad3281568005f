import { Clipper, EndType, JoinType } from 'clipper2-ts';
import type { FlatPoint } from '../vessel';
import type { TemplateLine } from './template';

/** How far a film lies over what it borders, mm; and over the far side of the gap, for the hand's sake. */
export const FILM_HOLD = 0.5;

/**
 * The film that covers the gap round an outline: from `FILM_HOLD` inside it to gap + `FILM_HOLD`
 * outside it. Offsets of closed outlines by Clipper2, corners rounded, to a thousandth of a mm.
 * @param outlines closed, mm, outlines and holes alike
 */
export function outlineFilm(outlines: readonly TemplateLine[], gap: number): readonly TemplateLine[] {
  const paths = outlines.map(({ points }) => points.slice(0, -1).map(([x, y]) => ({ x, y })));
  const offset = (delta: number): readonly TemplateLine[] =>
    Clipper.inflatePathsD(paths, delta, JoinType.Round, EndType.Polygon, 2, 3, 0.02)
      .map((path) => path.map(({ x, y }): FlatPoint => [x, y]))
      .filter((points) => points.length > 2)
      .map((points) => ({ role: 'cut' as const, points: [...points, points[0]], closed: true }));
  return [...offset(gap + FILM_HOLD), ...offset(-FILM_HOLD)];
}
