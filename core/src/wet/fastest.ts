import type { Driven } from './driven';
import { SURFACE } from './layer-shares';
import type { Flows } from './levelling';
import type { WetFilm } from './wet-film';

/* How much of a cell anything crosses in a second, at most: no step may be longer than lets it cross part of one. */

/** Its size alone; written out, for it is asked millions of times. */
const sizeOf = (value: number): number => (value < 0 ? -value : value);

/** Of what drifts, runs down and is blown. @param turning cells a second that the frame goes along */
export function drivenFastest({ grid, all }: WetFilm, { drift, lean, blown }: Driven, turning: number): number {
  const frame = sizeOf(turning);
  let most = 0;
  for (let row = 0; row < grid.rows; row += 1) {
    const area = grid.across[row] * grid.along[row];
    for (let at = row * grid.columns; at < (row + 1) * grid.columns; at += 1) {
      const volume = all[at] * area;
      // A swelling drifts five times as fast as the film it is in, and runs down three times as fast.
      const drifts = sizeOf((5 * drift[at]) / volume - turning);
      const round = (drifts > frame ? drifts : frame) + (SURFACE.dragged * sizeOf(blown.right[at])) / volume;
      const upwards = (3 * sizeOf(lean[at]) + SURFACE.dragged * sizeOf(blown.up[at])) / volume;
      if (round > most) most = round;
      if (upwards > most) most = upwards;
    }
  }
  return most;
}

/** Of what levels out. */
export function levelledFastest({ grid, all }: WetFilm, { right, up }: Flows): number {
  let most = 0;
  for (let row = 0; row < grid.rows; row += 1) {
    const area = grid.across[row] * grid.along[row];
    for (let at = row * grid.columns; at < (row + 1) * grid.columns; at += 1) {
      const volume = all[at] * area;
      const flow = sizeOf(right[at]) > sizeOf(up[at]) ? sizeOf(right[at]) : sizeOf(up[at]);
      if (flow > most * volume) most = flow / volume;
    }
  }
  return SURFACE.levelled * most;
}
