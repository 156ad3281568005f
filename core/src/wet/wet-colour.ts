import { layLine, lineTakes } from './lay-colour';
import { laidLines } from './laid-lines';
import { airOver } from './warm-air';
import { clearFilm, volumeOf } from './wet-film';
import { WetFlow } from './wet-flow';
import { wetGrid, type WetGrid } from './wet-grid';
import { stillAfter, type WetWish } from './wet-wish';

/** mm of a cell: lines are laid two wide at least, and are soon many wide */
export const CELL = 2;

/** How laid colour stands at some moment. */
export interface WetColour {
  readonly grid: WetGrid;
  /** minutes since it was laid */
  readonly minutes: number;
  /** degrees that what stands in column 0 has drifted round the cup */
  readonly turned: number;
  /** degrees that the colour itself has drifted, all of it taken together */
  readonly drifted: number;
  /** mm of colour by cell, of each pot */
  readonly colour: readonly Float32Array[];
  /** mm of all that is wet, by cell */
  readonly all: Float32Array;
  /** ml of each pot that ran off the cup */
  readonly lost: readonly number[];
}

/** How far it is, 0 to 1, and the picture of a moment once that is reached. */
export interface WetProgress {
  readonly share: number;
  readonly wet: WetColour | null;
}

/** How the flow is worked out, where it isn't as usual. */
export interface WetFineness {
  /** mm */
  readonly cell?: number;
  /** steps so many times shorter */
  readonly finer?: number;
}

/**
 * How colour laid into a wet film runs, step by step, with a picture of it at each of some moments.
 * @param moments minutes since it was laid, rising
 */
export function* wetColours(
  wish: WetWish,
  moments: readonly number[],
  { cell = CELL, finer = 1 }: WetFineness = {},
): Generator<WetProgress, undefined> {
  const grid = wetGrid(wish.stations, cell);
  const film = clearFilm(grid, wish.film, wish.pots.length);
  const lines = laidLines(wish.laying, wish.stations);
  wish.pots.forEach((ml, pot) => {
    // Lines by turns; a longer one takes as much more of its pot, a drop as much as any.
    const own = lines.filter((_, i) => i % wish.pots.length === pot);
    const volume = (1000 * ml) / own.reduce((sum, line) => sum + lineTakes(line, wish.stations), 0);
    for (const line of own) layLine(film, pot, line, { volume, width: wish.width }, wish.stations);
  });
  const laid = film.colour.map((pot) => volumeOf(grid, pot));
  const flow = new WetFlow(film, wish.drive, wish.air ? airOver(film, wish.air) : null, finer);
  const last = 60 * (moments.at(-1) ?? 0);
  for (const minutes of moments) {
    const until = 60 * minutes;
    while (flow.seconds < until - 1e-9) {
      flow.step(until);
      // Steps grow with time, about as its root.
      yield { share: Math.sqrt(flow.seconds / last), wet: null };
    }
    const wet: WetColour = {
      grid,
      minutes,
      turned: (flow.turned * 360) / grid.columns,
      drifted: (flow.drifted * 360) / grid.columns,
      colour: film.colour.map((pot) => Float32Array.from(pot)),
      all: Float32Array.from(film.all),
      lost: film.colour.map((pot, i) => (laid[i] - volumeOf(grid, pot)) / 1000),
    };
    yield { share: last > 0 ? Math.sqrt(flow.seconds / last) : 1, wet };
  }
}

/** How it stands once nothing moves any more. */
export function wetColour(wish: WetWish, fineness: WetFineness = {}): WetColour {
  let still: WetColour | null = null;
  for (const { wet } of wetColours(wish, [stillAfter(wish.drive)], fineness)) still = wet;
  if (still === null) throw new RangeError('A flow of no length has no end.');
  return still;
}
