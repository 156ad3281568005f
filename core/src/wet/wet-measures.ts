import type { WetColour } from './wet-colour';
import { cellSize } from './wet-grid';

/** Share of a pot's most across a row from which on colour is of a line, and no longer a breath between two. */
const OF_A_LINE = 0.25;
/** Share of the colour at a spot that a second pot has to be, for two to have run into each other. */
const MEETS = 0.25;
/** mm from an end within which a head is looked for, and from where on a line is no longer its end */
const END = 25;

/** What laid colour has come to. */
export interface WetMeasures {
  /** share of the wall that colour covers */
  readonly covers: number;
  /** share of the wall where colours of two pots or more have run into each other */
  readonly meets: number;
  /** mm that a line is wide at the middle of the height, on average; null where there is none */
  readonly wide: number | null;
  /** separate lines across the middle of the height */
  readonly lines: number;
  /** how many times as much there is at the thickest end of the lines as along them, per mm */
  readonly heads: number;
  /** mm of colour at its thickest */
  readonly most: number;
  /** mm round the cup that it has drifted, at its widest */
  readonly drifted: number;
  /** ml that ran off the cup */
  readonly lost: number;
}

/**
 * How much of a wall some colour covers: `(∫b)²/∫b²` over its size, what an even coat of as much would cover were it as thick as
 * this one is where it is thick. All of it where it lies even; and no threshold decides what still counts.
 */
export function covered(thick: ArrayLike<number>, sizeOf: (at: number) => number): number {
  let [wall, sum, squares] = [0, 0, 0];
  for (let at = 0; at < thick.length; at += 1) {
    const size = sizeOf(at);
    const mm = Math.max(0, thick[at]);
    wall += size;
    sum += mm * size;
    squares += mm * mm * size;
  }
  return squares > 0 ? (sum * sum) / (squares * wall) : 0;
}

/** @param reach heights that lines were laid between, mm; null over both edges */
export function wetMeasures(wet: WetColour, reach: { readonly from: number; readonly to: number } | null): WetMeasures {
  const { grid, colour } = wet;
  const { columns, rows, across, rise } = grid;
  const floating = new Float64Array(columns * rows);
  for (const pot of colour) for (let at = 0; at < floating.length; at += 1) floating[at] += pot[at];
  const sizeOf = (at: number) => cellSize(grid, Math.floor(at / columns));
  const most = floating.reduce((top, mm) => Math.max(top, mm), 0);
  let [both, all] = [0, 0];
  for (let at = 0; at < floating.length; at += 1) {
    const size = sizeOf(at);
    all += size;
    if (floating[at] <= OF_A_LINE * most) continue;
    if (colour.filter((pot) => pot[at] >= MEETS * floating[at]).length > 1) both += size;
  }
  const [low, high] = reach === null ? [0, rows * rise] : [reach.from, Math.min(rows * rise, reach.to)];
  const middle = Math.max(0, Math.min(rows - 1, Math.floor((low + high) / 2 / rise)));
  // Of each pot by itself: where two colours touch, each is a line still.
  const rowsOf = colour.map((pot) => pot.subarray(middle * columns, (middle + 1) * columns));
  const lines = rowsOf.reduce((sum, row) => sum + linesIn(row), 0);
  const wide = rowsOf.reduce((sum, row) => sum + covered(row, () => across[middle]) * columns * across[middle], 0);
  return {
    covers: covered(floating, sizeOf),
    meets: both / all,
    wide: lines > 0 ? wide / lines : null,
    lines,
    heads: headsOf(wet, floating, low, high),
    most,
    drifted: (wet.drifted / 360) * Math.max(...across) * columns,
    lost: wet.lost.reduce((sum, ml) => sum + ml, 0),
  };
}

/** Stretches of colour round the cup; one that goes all round is one. */
function linesIn(row: Float32Array): number {
  const least = OF_A_LINE * row.reduce((most, mm) => Math.max(most, mm), 0);
  if (least <= 0) return 0;
  let begun = 0;
  for (let n = 0; n < row.length; n += 1) if (row[n] >= least && row[(n + row.length - 1) % row.length] < least) begun += 1;
  return Math.max(1, begun);
}

function headsOf({ grid }: WetColour, floating: Float64Array, low: number, high: number): number {
  const { columns, rows, rise, across } = grid;
  const ofRow = (row: number) => {
    let sum = 0;
    for (let at = row * columns; at < (row + 1) * columns; at += 1) sum += floating[at];
    return sum * across[row];
  };
  const all = Array.from({ length: rows }, (_, row) => ({ height: (row + 0.5) * rise, volume: ofRow(row) }));
  const inside = all.filter(({ height }) => height > low + END && height < high - END).map(({ volume }) => volume);
  const ends = all.filter(({ height }) => height <= low + END || height >= high - END).map(({ volume }) => volume);
  const usual = inside.sort((a, b) => a - b).at(inside.length >> 1) ?? 0;
  return usual > 0 ? Math.max(...ends) / usual : 1;
}
