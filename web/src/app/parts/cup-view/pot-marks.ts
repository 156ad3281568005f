import type { PlannedFade, Station } from '@aurantia/core';
import { radiusAt, rowOf, type Stance } from '@aurantia/core/figure';

/** A pot's name beside the cup, at the middle of its stretch, css pixels. */
export interface PotMark {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** Pots that lie one above the other; those that go round have no height of their own. */
export function potMarks(fade: PlannedFade, stations: readonly Station[], stance: Stance): readonly PotMark[] {
  if (fade.way === 'round' || fade.way === 'spiral') return [];
  return fade.slices.flatMap(({ stretches }, pot) =>
    stretches.map(({ from, to }) => ({
      name: `pot ${pot + 1}${noteOf(fade, pot)}`,
      x: stance.axis + radiusAt(stations, (from + to) / 2) * stance.scale + 8,
      y: rowOf(stance, (from + to) / 2),
    })),
  );
}

/** What stands out about a pot: a step that is plainly seen, or none at all from the one before. */
function noteOf({ laid }: PlannedFade, pot: number): string {
  if (!laid) return '';
  if (laid.choppy.includes(pot)) return ': step';
  return laid.dead !== null && pot > laid.dead.from && pot <= laid.dead.to ? ': same' : '';
}
