import { chanceAt } from './noise';

/** Centres scattered round a wall, one in each cell of a lattice that closes round it. */
export interface Scattered {
  readonly columns: number;
  /** mm of a cell, round and up */
  readonly wide: number;
  readonly high: number;
  /** mm of a cell's centre, by `(row + MARGIN) · columns + column` */
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/** Rows below the foot and above the rim: what lies there is near to the wall's edge too. */
export const MARGIN = 3;

export function scattered(
  { round, tall, seed }: { readonly round: number; readonly tall: number; readonly seed: number },
  apart: number,
  drawn = 1,
): Scattered {
  const columns = Math.max(3, Math.round(round / apart));
  const wide = round / columns;
  const high = wide * drawn;
  const rows = Math.ceil(tall / high) + 2 * MARGIN;
  const [x, y] = [new Float64Array(rows * columns), new Float64Array(rows * columns)];
  for (let at = 0; at < x.length; at += 1) {
    const [column, row] = [at % columns, Math.floor(at / columns) - MARGIN];
    x[at] = (column + chanceAt(column, row, seed)) * wide;
    y[at] = (row + chanceAt(column, row, seed + 1)) * high;
  }
  return { columns, wide, high, x, y };
}
