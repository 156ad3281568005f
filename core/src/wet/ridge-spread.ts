import { CELL } from './wet-colour';
import { dropWidth, ridgeWidth } from './lay-colour';
import { clearFilm, type WetDrive } from './wet-film';
import { WetFlow } from './wet-flow';
import { patchGrid, stretchGrid } from './wet-grid';
import { covered } from './wet-measures';
import { stillAfter } from './wet-wish';

/** Lines or drops side by side, each with its share of the wall; a record of plain numbers, so that it can be remembered. */
export interface SpreadWish extends WetDrive {
  /** mm of the clear film */
  readonly film: number;
  /** mm of a line, as it leaves the pot */
  readonly width: number;
  /** mm round the cup */
  readonly round: number;
  /** mm from one to the next */
  readonly apart: number;
  /** mm² across a line, or mm³ of a drop */
  readonly amount: number;
  readonly shape: 'line' | 'drop';
}

/** The most cells from one to the next: few enough to be worked out while one types. */
const MOST_CELLS = { line: 80, drop: 10 } as const;

/**
 * How much of the wall laid colour covers once it lies still: one line, or one drop, with its share of the wall, worked out as
 * all of them are.
 * @returns 0 to 1
 */
export function spreadCovers({ film: thickness, round, width, apart, amount, shape, ...drive }: SpreadWish): number {
  const cells = Math.max(8, Math.min(MOST_CELLS[shape], Math.ceil(apart / CELL)));
  const grid = shape === 'line' ? stretchGrid(apart, cells, round) : patchGrid(apart, cells, round);
  const film = clearFilm(grid, thickness, 1);
  const [cell] = grid.across;
  const laid = shape === 'line' ? ridgeWidth(amount, width) : dropWidth(amount, width);
  const half = Math.max(laid, 2 * cell) / 2;
  const ridge = film.all.map((_, at) => {
    const aside = ((at % grid.columns) + 0.5) * cell - apart / 2;
    const up = shape === 'line' ? 0 : (Math.floor(at / grid.columns) + 0.5) * cell - apart / 2;
    return Math.max(0, 1 - (aside * aside + up * up) / (half * half));
  });
  const sum = ridge.reduce((all, part) => all + part, 0) * cell * (shape === 'line' ? 1 : cell);
  for (const [at, part] of ridge.entries()) {
    film.colour[0][at] += (part * amount) / sum;
    film.all[at] += (part * amount) / sum;
  }
  const flow = new WetFlow(film, drive);
  const until = 60 * stillAfter(drive);
  while (flow.seconds < until - 1e-9) flow.step(until);
  return covered(film.colour[0], () => 1);
}
