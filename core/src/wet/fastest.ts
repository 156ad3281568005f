import type { Driven } from './driven';
import { SURFACE } from './layer-shares';
import type { Flows } from './levelling';
import type { WetFilm } from './wet-film';

/* How much of a cell anything crosses in a second, at most: no step may be longer than lets it cross part of one. */

/** Of what drifts, runs down and is blown. @param turning cells a second that the frame goes along */
export function drivenFastest({ grid, all }: WetFilm, { drift, lean, blown }: Driven, turning: number): number {
  const frame = Math.abs(turning);
  let most = 0;
  for (let row = 0; row < grid.rows; row += 1) {
    const size = grid.across[row] * grid.along[row];
    for (let at = row * grid.columns; at < (row + 1) * grid.columns; at += 1) {
      const volume = all[at] * size;
      // A swelling drifts five times as fast as the film it is in, and runs down three times as fast.
      const drifts = Math.abs((5 * drift[at]) / volume - turning);
      const round = (drifts > frame ? drifts : frame) + (SURFACE.dragged * Math.abs(blown.right[at])) / volume;
      const upwards = (3 * Math.abs(lean[at]) + SURFACE.dragged * Math.abs(blown.up[at])) / volume;
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
    const size = grid.across[row] * grid.along[row];
    for (let at = row * grid.columns; at < (row + 1) * grid.columns; at += 1) {
      const volume = all[at] * size;
      const flow = Math.abs(right[at]) > Math.abs(up[at]) ? Math.abs(right[at]) : Math.abs(up[at]);
      if (flow > most * volume) most = flow / volume;
    }
  }
  return SURFACE.levelled * most;
}
