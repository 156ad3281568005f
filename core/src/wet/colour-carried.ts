import { gentler } from './gentler';
import type { Flows } from './levelling';
import type { WetGrid } from './wet-grid';

/**
 * What is colour of what flows, mm³/s.
 * @param level nothing goes up or down: `out.up` stays as it is
 * @param speeds of the colour through right sides and lower edges: mm³/s a mm of it
 */
export function carried(grid: WetGrid, colour: Float64Array, speeds: Flows, out: Flows, level: boolean): void {
  carriedRound(grid, colour, speeds.right, out.right);
  if (!level) carriedUp(grid, colour, speeds.up, out.up);
}

function carriedRound({ columns, rows }: WetGrid, colour: Float64Array, speeds: Float64Array, out: Float64Array): void {
  for (let row = 0; row < rows; row += 1) {
    const [start, end] = [row * columns, (row + 1) * columns];
    let before = colour[end - 1];
    let here = colour[start];
    let there = colour[start + 1];
    for (let at = start; at < end; at += 1) {
      const beyond = colour[at + 2 < end ? at + 2 : at + 2 - columns];
      const speed = speeds[at];
      out[at] =
        speed > 0
          ? speed * (here + gentler(here - before, there - here) / 2)
          : speed * (there - gentler(there - here, beyond - there) / 2);
      before = here;
      here = there;
      there = beyond;
    }
  }
}

function carriedUp({ columns, rows }: WetGrid, colour: Float64Array, speeds: Float64Array, out: Float64Array): void {
  const last = rows * columns;
  // Past foot and rim it only runs off, as thick as it is there.
  for (let i = 0; i < columns; i += 1) {
    out[i] = Math.min(0, speeds[i]) * colour[i];
    out[last + i] = Math.max(0, speeds[last + i]) * colour[last - columns + i];
  }
  for (let at = columns; at < last; at += 1) {
    const speed = speeds[at];
    const [here, there] = [colour[at - columns], colour[at]];
    if (speed > 0) {
      const before = at >= 2 * columns ? colour[at - 2 * columns] : here;
      out[at] = speed * (here + gentler(here - before, there - here) / 2);
    } else {
      const beyond = at + columns < last ? colour[at + columns] : there;
      out[at] = speed * (there - gentler(there - here, beyond - there) / 2);
    }
  }
}

/** Takes from each cell what flows out of it and gives it to the next. @param seconds of the step */
export function flowOn(grid: WetGrid, thick: Float64Array, { right, up }: Flows, seconds: number): void {
  const { columns, rows, across, along } = grid;
  for (let row = 0; row < rows; row += 1) {
    const [start, end] = [row * columns, (row + 1) * columns];
    const share = seconds / (across[row] * along[row]);
    let left = right[end - 1];
    for (let at = start; at < end; at += 1) {
      thick[at] -= share * (right[at] - left + up[at + columns] - up[at]);
      left = right[at];
    }
  }
}
