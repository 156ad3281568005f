import { noise } from './noise';
import type { CrackleWish, Pattern } from './pattern';
import { MARGIN, scattered, type Scattered } from './scattered';

/** Classes: above what it reaches, the floor of a cell, beside its wall, and the wall where the film's fold held the ink. */
const [BARE, FLOOR, BESIDE, WALL] = [0, 1, 2, 3] as const;
/** How wide a wall and what lies beside it are, of a cell. */
const WIDE = { wall: 0.1, beside: 0.3 } as const;
/** Its upper edge is ragged by so much of a cell. */
const RAGGED = 0.9;

/**
 * Cells as a wrinkled film makes them: each spot belongs to its nearest of some scattered centres, and walls stand where two are
 * as near (G. Voronoi, 1908; scattered as by S. Worley, “A cellular texture basis function”, SIGGRAPH 1996).
 */
export function crackle(wish: CrackleWish): Pattern {
  const { cell, reach, seed, round } = wish;
  const centres = scattered(wish, cell);
  const { columns, wide: side } = centres;
  return {
    classes: 4,
    classAt(turn, up) {
      const x = turn * round;
      const edge = reach + RAGGED * cell * (noise((x / round) * 2 * columns, 0.5, seed + 2, 2 * columns) - 0.5);
      if (up > edge) return BARE;
      const apart = wallDistance(x, up, round, centres);
      // A fold is no line of one width.
      const wide = (0.6 + 0.8 * noise((x / round) * 3 * columns, (3 * up) / side, seed + 4, 3 * columns)) * cell;
      if (apart < WIDE.wall * wide) return WALL;
      return apart < WIDE.beside * wide ? BESIDE : FLOOR;
    },
  };
}

/** How much farther the second nearest centre is than the nearest, mm. */
function wallDistance(x: number, y: number, round: number, { columns, wide, high, x: xs, y: ys }: Scattered): number {
  const [column, row] = [Math.floor(x / wide), Math.floor(y / high)];
  let [first, second] = [Infinity, Infinity];
  for (let up = row - 2; up <= row + 2; up += 1)
    for (let along = column - 2; along <= column + 2; along += 1) {
      const turns = Math.floor(along / columns);
      const at = (up + MARGIN) * columns + along - turns * columns;
      const across = xs[at] + turns * round - x;
      const off = across * across + (ys[at] - y) ** 2;
      if (off < first) {
        second = first;
        first = off;
      } else if (off < second) second = off;
    }
  return Math.sqrt(second) - Math.sqrt(first);
}
