import { solveFiveWide } from './five-wide';
import type { WetGrid } from './wet-grid';

/** Cells that a row is continued by past the seam, either way: far more than a step's levelling reaches. */
const PAST = 24;

/** What flows through each cell's right side, and up through its lower edge, mm³/s. */
export interface Flows {
  readonly right: Float64Array;
  readonly up: Float64Array;
}

const bandsOf = (cells: number) =>
  [
    new Float64Array(cells),
    new Float64Array(cells),
    new Float64Array(cells),
    new Float64Array(cells),
    new Float64Array(cells),
  ] as const;

/**
 * How surface tension levels a film: what flows through each cell's right side, and up through its lower edge
 * (there is a row of edges more than of cells), mm³/s. Written for a step as
 * long as one likes (alternating directions: `(I + τDx)(I + τDz)Δh = −τ·div q`), which damps every ripple and lets none grow,
 * as `(X + Z)² ≤ (1 + X²)(1 + Z²)`.
 * @see T. P. Witelski, M. Bowen, “ADI schemes for higher-order nonlinear diffusion equations”, Applied Numerical Mathematics 45, 2003
 */
export class Levelling {
  readonly right: Float64Array;
  readonly up: Float64Array;
  private readonly curve: Float64Array;
  private readonly change: Float64Array;
  private readonly rowBands;
  private readonly row: Float64Array;
  private readonly columnBands;

  constructor(private readonly grid: WetGrid) {
    const cells = grid.columns * grid.rows;
    [this.right, this.curve, this.change] = [0, 0, 0].map(() => new Float64Array(cells));
    this.up = new Float64Array(cells + grid.columns);
    this.row = new Float64Array(grid.columns + 2 * PAST);
    this.rowBands = bandsOf(grid.columns + 2 * PAST);
    this.columnBands = bandsOf(grid.rows > 1 ? cells : 0);
  }

  /**
   * @param thick mm, by cell
   * @param ease how readily it moves, by cell: thickness³ × what tension over viscosity comes to, mm⁴/s
   * @param seconds of the step
   */
  work(thick: Float64Array, ease: Float64Array, seconds: number): void {
    this.bend(thick);
    this.pushed(ease);
    this.wouldChange(seconds);
    this.round(ease, seconds);
    if (this.grid.rows > 1) this.upwards(ease, seconds);
  }

  /** The film's curvature, 1/mm. */
  private bend(thick: Float64Array): void {
    const { columns, rows, across, along, step } = this.grid;
    const { curve } = this;
    for (let row = 0; row < rows; row += 1) {
      const [start, end] = [row * columns, (row + 1) * columns];
      const round = 1 / across[row] ** 2;
      const size = across[row] * along[row];
      const [below, above] = [step[row] / size, step[row + 1] / size];
      let left = thick[end - 1];
      let here = thick[start];
      for (let at = start; at < end; at += 1) {
        const right = at + 1 < end ? thick[at + 1] : thick[start];
        let bend = (left + right - 2 * here) * round;
        if (above > 0) bend += above * (thick[at + columns] - here);
        if (below > 0) bend -= below * (here - thick[at - columns]);
        curve[at] = bend;
        left = here;
        here = right;
      }
    }
  }

  private pushed(ease: Float64Array): void {
    const { columns, rows, across, along, step } = this.grid;
    const { curve, right, up } = this;
    up.fill(0);
    for (let row = 0; row < rows; row += 1) {
      const [start, end] = [row * columns, (row + 1) * columns];
      const side = along[row] / across[row] / 2;
      const edge = step[row] / 2;
      for (let at = start; at < end; at += 1) {
        const next = at + 1 < end ? at + 1 : start;
        right[at] = side * (ease[at] + ease[next]) * (curve[next] - curve[at]);
        if (edge > 0) up[at] = edge * (ease[at] + ease[at - columns]) * (curve[at] - curve[at - columns]);
      }
    }
  }

  /** What the step would change if it were a short one, mm. */
  private wouldChange(seconds: number): void {
    const { columns, rows, across, along } = this.grid;
    const { right, up, change } = this;
    for (let row = 0; row < rows; row += 1) {
      const [start, end] = [row * columns, (row + 1) * columns];
      const share = seconds / (across[row] * along[row]);
      let left = right[end - 1];
      for (let at = start; at < end; at += 1) {
        const out = right[at];
        change[at] = -share * (out - left + up[at + columns] - up[at]);
        left = out;
      }
    }
  }

  private round(ease: Float64Array, seconds: number): void {
    const { columns, rows, across, along } = this.grid;
    const { change, right, row: line } = this;
    const [two, one, self, next, after] = this.rowBands;
    const cells = columns + 2 * PAST;
    const system = { cells, systems: 1, side: 1, apart: 0, bands: this.rowBands };
    for (let row = 0; row < rows; row += 1) {
      const start = row * columns;
      const weight = seconds / across[row] ** 4 / 2;
      let i = (columns * PAST - PAST) % columns;
      let here = ease[start + i];
      let toLeft = weight * (here + ease[start + (i > 0 ? i - 1 : columns - 1)]);
      for (let n = 0; n < cells; n += 1) {
        const j = i + 1 < columns ? i + 1 : 0;
        const there = ease[start + j];
        const toRight = weight * (here + there);
        two[n] = toLeft;
        one[n] = -toRight - 3 * toLeft;
        self[n] = 1 + 3 * (toRight + toLeft);
        next[n] = -3 * toRight - toLeft;
        after[n] = toRight;
        line[n] = change[start + i];
        i = j;
        here = there;
        toLeft = toRight;
      }
      solveFiveWide(system, line);
      for (let at = 0; at < columns; at += 1) change[start + at] = line[PAST + at];
      const side = along[row] / across[row] ** 3 / 2;
      let [before, middle] = [change[start + columns - 1], change[start]];
      let beyond = change[start + 1];
      for (let at = 0; at < columns; at += 1) {
        const far = change[start + (at + 2 < columns ? at + 2 : at + 2 - columns)];
        const nextEase = ease[start + (at + 1 < columns ? at + 1 : 0)];
        right[start + at] += side * (ease[start + at] + nextEase) * (far - 3 * beyond + 3 * middle - before);
        before = middle;
        middle = beyond;
        beyond = far;
      }
    }
  }

  private upwards(ease: Float64Array, seconds: number): void {
    const { columns, rows, across, along, step } = this.grid;
    const [two, one, self, next, after] = this.columnBands;
    const sizeOf = (row: number) => across[row] * along[row];
    // What its lower and its upper neighbour weigh in a row's curvature; past foot and rim there is none.
    const lower = (row: number) => (row > 0 && row < rows ? step[row] / sizeOf(row) : 0);
    const upper = (row: number) => (row >= 0 && row < rows ? step[row + 1] / sizeOf(row) : 0);
    const own = (row: number) => -lower(row) - upper(row);
    for (let row = 0; row < rows; row += 1) {
      const scale = seconds / sizeOf(row) / 2;
      const [stepDown, stepUp] = [step[row] * scale, step[row + 1] * scale];
      const [lowerDown, ownDown, upperDown] = [lower(row - 1), own(row - 1), upper(row - 1)];
      const [lowerHere, ownHere, upperHere] = [lower(row), own(row), upper(row)];
      const [lowerUp, ownUp, upperUp] = [lower(row + 1), own(row + 1), upper(row + 1)];
      for (let i = 0; i < columns; i += 1) {
        const at = row * columns + i;
        const above = stepUp > 0 ? stepUp * (ease[at] + ease[at + columns]) : 0;
        const below = stepDown > 0 ? stepDown * (ease[at] + ease[at - columns]) : 0;
        two[at] = below * lowerDown;
        one[at] = -above * lowerHere - below * (lowerHere - ownDown);
        self[at] = 1 + above * (lowerUp - ownHere) - below * (ownHere - upperDown);
        next[at] = above * (ownUp - upperHere) - below * upperHere;
        after[at] = above * upperUp;
      }
    }
    solveFiveWide({ cells: rows, systems: columns, side: columns, apart: 1, bands: this.columnBands }, this.change);
    for (let row = 0; row < rows; row += 1) {
      const start = row * columns;
      for (let i = 0; i < columns; i += 1) this.curve[start + i] = this.bentUp(start + i, lower(row), upper(row));
    }
    for (let row = 1; row < rows; row += 1)
      for (let at = row * columns; at < (row + 1) * columns; at += 1)
        this.up[at] += (step[row] / 2) * (ease[at] + ease[at - columns]) * (this.curve[at] - this.curve[at - columns]);
  }

  /** Curvature up the wall of what the step changes. */
  private bentUp(at: number, lower: number, upper: number): number {
    const { columns } = this.grid;
    const here = this.change[at];
    return (
      (upper > 0 ? upper * (this.change[at + columns] - here) : 0) - (lower > 0 ? lower * (here - this.change[at - columns]) : 0)
    );
  }
}
