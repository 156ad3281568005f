import { regionPixels, type Region, type WallPicture } from '../regions';
import { remember, rememberEach } from '../remember';
import { circumferenceAt, type Station } from '../vessel';
import type { PatternWish } from './pattern';
import { patternOf } from './pattern-of';

/** Cells of the wall that a pattern is measured by, round and up. */
const CELLS = { width: 128, height: 88 } as const;

interface ClassGrid {
  readonly classes: number;
  readonly picture: WallPicture;
  /** by cell, the rim's first */
  readonly own: Uint8Array;
}

const gridOf = remember((text: string): ClassGrid => {
  const wish = JSON.parse(text) as PatternWish;
  const pattern = patternOf(wish);
  const picture = { ...CELLS, top: wish.tall, rowsPerMm: CELLS.height / wish.tall };
  const own = new Uint8Array(CELLS.width * CELLS.height);
  for (let cell = 0; cell < own.length; cell += 1) {
    const [column, row] = [cell % CELLS.width, Math.floor(cell / CELLS.width)];
    own[cell] = pattern.classAt((column + 0.5) / CELLS.width, picture.top - (row + 0.5) / picture.rowsPerMm);
  }
  return { classes: pattern.classes, picture, own };
}, 12);

const measured = rememberEach((region: Region, wish: string, stations: readonly Station[]): readonly number[] | null => {
  const { classes, picture, own } = gridOf(wish);
  const shares = Array.from({ length: classes }, () => 0);
  let all = 0;
  for (const cell of regionPixels(region, picture)) {
    const wide = circumferenceAt(stations, picture.top - (Math.floor(cell / CELLS.width) + 0.5) / picture.rowsPerMm);
    shares[own[cell]] += wide;
    all += wide;
  }
  return all === 0 ? null : shares.map((share) => share / all);
}, 8);

/**
 * Share of a region of the wall that each class of a pattern has; they add up to 1.
 * @param region one that is narrower than can be told has the shares of the whole wall
 */
export function classShares(wish: PatternWish, region: Region, stations: readonly Station[]): readonly number[] {
  const text = JSON.stringify(wish);
  return measured(region, text, stations) ?? wholeShares(wish, stations);
}

const whole = remember((tall: number): Region => [
  [
    [
      [0, 0],
      [360, 0],
      [360, tall],
      [0, tall],
      [0, 0],
    ],
  ],
]);

/** The same of the whole wall. */
export const wholeShares = (wish: PatternWish, stations: readonly Station[]): readonly number[] =>
  measured(whole(wish.tall), JSON.stringify(wish), stations) ?? [1];
