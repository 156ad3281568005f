import { coverage, keptDepth } from '../glitter';
import type { PlannedBlend } from './blend-outcome';

/** One point of how cover grows with what is poured. */
export interface CoverPoint {
  /** a pour */
  readonly ml: number;
  /** share covered once all passes are on */
  readonly cover: number;
}

/** Points of the curve beside its first, at nothing. */
const POINTS = 40;

/** Share a blend covers when so much of it is poured, as often as its coats do; before any coat, as if all of it stuck. */
export function coverAt({ ml: now, poured, hold, passes }: PlannedBlend, ml: number): number {
  const deep = now > 0 ? (poured * ml) / now : 0;
  return coverage(Math.max(1, passes) * (hold === null ? deep : keptDepth(deep, hold)));
}

/** How cover grows with what is poured: from nothing to well over what is poured now, and over what full cover takes. */
export function coverCurve(blend: PlannedBlend): readonly CoverPoint[] {
  const most = 1.4 * Math.max(blend.ml, blend.forCover.ml ?? 0);
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const ml = (most * i) / POINTS;
    return { ml, cover: coverAt(blend, ml) };
  });
}
