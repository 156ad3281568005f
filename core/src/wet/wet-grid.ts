import { circumferenceAt, heightOf, type Station } from '../vessel';

/** The wall in cells: columns round the cup from the seam, rows from the foot up. Lengths mm. */
export interface WetGrid {
  readonly columns: number;
  readonly rows: number;
  /** mm of height a row */
  readonly rise: number;
  /** what the tape reads there, by row: of a stretch round a cup more than its cells are wide together */
  readonly round: Float64Array;
  /** width of a cell, by row: a taper's cells are wider at the rim */
  readonly across: Float64Array;
  /** length of a cell up the wall, by row */
  readonly along: Float64Array;
  /** width of the edge under each row, and over the last */
  readonly edge: Float64Array;
  /** the same over the way between the middles of the rows it parts; 0 at foot and rim, past which nothing levels */
  readonly step: Float64Array;
}

/** No row of cells is shorter round than this: a stem's are. */
const LEAST_ACROSS = 0.05;

/**
 * A cup's wall in cells.
 * @param cell mm, of the widest cells either way
 */
export function wetGrid(stations: readonly Station[], cell: number): WetGrid {
  const height = heightOf({ stations });
  const widest = Math.max(...stations.map(({ circumference }) => circumference));
  const columns = Math.max(16, Math.ceil(widest / cell));
  const rows = Math.max(4, Math.ceil(height / cell));
  const rise = height / rows;
  const roundAt = (mm: number) => Math.max(LEAST_ACROSS * columns, circumferenceAt(stations, Math.min(height, mm)));
  const across = Float64Array.from({ length: rows }, (_, row) => roundAt((row + 0.5) * rise) / columns);
  const along = Float64Array.from({ length: rows }, (_, row) => {
    const wider = (roundAt((row + 1) * rise) - roundAt(row * rise)) / (2 * Math.PI);
    return Math.hypot(rise, wider);
  });
  const edge = Float64Array.from({ length: rows + 1 }, (_, row) => roundAt(row * rise) / columns);
  const step = edge.map((width, row) => (row > 0 && row < rows ? width / ((along[row - 1] + along[row]) / 2) : 0));
  const round = across.map((wide) => wide * columns);
  return { columns, rows, rise, round, across, along, edge, step };
}

const evenGrid = (columns: number, rows: number, cell: number, round: number): WetGrid => ({
  columns,
  rows,
  rise: cell,
  round: new Float64Array(rows).fill(round),
  across: new Float64Array(rows).fill(cell),
  along: new Float64Array(rows).fill(rows === 1 ? 1 : cell),
  edge: new Float64Array(rows + 1).fill(cell),
  step: Float64Array.from({ length: rows + 1 }, (_, row) => (row > 0 && row < rows ? 1 : 0)),
});

/** A stretch round a cup, a mm high: what any height of a long string is like. @param long mm @param round mm, of the cup */
export const stretchGrid = (long: number, cells: number, round: number): WetGrid => evenGrid(cells, 1, long / cells, round);

/** A square piece of wall. @param side mm @param round mm, of the cup */
export const patchGrid = (side: number, cells: number, round: number): WetGrid => evenGrid(cells, cells, side / cells, round);

/** mm² of a row's cells. */
export const cellSize = ({ across, along }: WetGrid, row: number): number => across[row] * along[row];
