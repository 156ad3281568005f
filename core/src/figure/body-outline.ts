import type { Station } from '../vessel';
import { LOOK_DOWN, radiusAt, rowOf, topOf, type Stance } from './projection';

/** As many steps up each side, and as many round half of the foot: no bend of a wall is seen as corners. */
const STEPS = 48;

/**
 * The outline of a cup's body as it stands, pixels: down its left side, along the near half of its foot, and up its right
 * side. Its mouth, which closes it, is a shape of its own, see `mouthOf`.
 */
export function bodyOutline(stations: readonly Station[], stance: Stance): readonly { readonly x: number; readonly y: number }[] {
  const top = topOf(stations);
  // Where the wall was measured it may bend most.
  const heights = [...stations.map(({ height }) => height), ...Array.from({ length: STEPS }, (_, step) => (top * step) / STEPS)];
  const side = heights
    .sort((one, other) => one - other)
    .map((height) => ({ reach: radiusAt(stations, height) * stance.scale, y: rowOf(stance, height) }));
  const foot = side[0];
  const along = Array.from({ length: STEPS + 1 }, (_, step) => (Math.PI * step) / STEPS);
  return [
    ...side.map(({ reach, y }) => ({ x: stance.axis - reach, y })).reverse(),
    ...along.map((turn) => ({
      x: stance.axis - foot.reach * Math.cos(turn),
      y: foot.y + foot.reach * Math.sin(turn) * Math.sin(LOOK_DOWN),
    })),
    ...side.map(({ reach, y }) => ({ x: stance.axis + reach, y })),
  ];
}
