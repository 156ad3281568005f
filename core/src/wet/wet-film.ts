import type { WetGrid } from './wet-grid';

/** What drives a wet film on a turning cup. */
export interface WetDrive {
  /** mPa·s of fresh resin in this room */
  readonly viscosity: number;
  /** minutes in which it doubles, of a film or a small pot in this room */
  readonly potLife: number;
  /** g/ml */
  readonly density: number;
  /** turns a minute */
  readonly rpm: number;
  /** degrees that the rim lies lower than the foot; negative where it lies higher */
  readonly lean: number;
  /** minutes since it was mixed when the colour is laid */
  readonly rest: number;
}

/** A wet film of several pots: how thick all of it is at each cell, and how thick the colour of each pot that floats in it, mm. */
export interface WetFilm {
  readonly grid: WetGrid;
  readonly all: Float64Array;
  /** by pot */
  readonly colour: readonly Float64Array[];
}

/** A clear film, as thick everywhere. @param thickness mm */
export function clearFilm(grid: WetGrid, thickness: number, pots: number): WetFilm {
  const cells = grid.columns * grid.rows;
  return {
    grid,
    all: new Float64Array(cells).fill(thickness),
    colour: Array.from({ length: pots }, () => new Float64Array(cells)),
  };
}

/** Volume in a field of thicknesses, mm³. */
export function volumeOf({ columns, rows, across, along }: WetGrid, thick: Float64Array): number {
  let sum = 0;
  for (let row = 0; row < rows; row += 1) {
    let line = 0;
    for (let at = row * columns; at < (row + 1) * columns; at += 1) line += thick[at];
    sum += line * across[row] * along[row];
  }
  return sum;
}
