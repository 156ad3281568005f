import { chanceAt, noise } from './noise';
import { levelsOf, type Pattern, type SwirlWish } from './pattern';
import { MARGIN, scattered } from './scattered';

/** mm from swirl to swirl, between the turns of one, and that it fades over; no two are of one size. */
const APART = 26;
const TURNS = 9;
const FADES = { from: 8, to: 15 } as const;
/** mm that a fingertip strays by, and over how many. */
const STRAYS = { by: 7, over: 18 } as const;
/** The brush draws it down: longer than wide, and longer still below where it was dabbed. */
const DRAWN = 1.5;
const BELOW = 1.9;
/** Lines that its bristles leave: mm wide and long, and how much they count against the swirl itself. */
const BRISTLE = { wide: 0.9, long: 45, counts: 0.55 } as const;

/** Swirls dabbed here and there and drawn out downwards, with the lines that a flat brush leaves. */
export function swirls(wish: SwirlWish): Pattern {
  const { share, seed, round, tall } = wish;
  const { columns, wide, high, x: xs, y: ys } = scattered(wish, APART, DRAWN);
  const kindOf = (salt: number) => Float64Array.from(xs, (_, at) => chanceAt(at, salt, seed + 2));
  const [phase, size, sense] = [kindOf(0), kindOf(1), kindOf(2)];
  const bristles = Math.max(3, Math.round(round / BRISTLE.wide));
  const strays = Math.max(3, Math.round(round / STRAYS.over));
  const value = (turn: number, height: number): number => {
    const stray = (salt: number) => (noise(turn * strays, height / STRAYS.over, seed + salt, strays) - 0.5) * STRAYS.by;
    const [x, up] = [turn * round + stray(4), height + stray(5)];
    const [column, row] = [Math.floor(x / wide), Math.floor(up / high)];
    let most = 0;
    for (let level = row - 1; level <= row + 2; level += 1)
      for (let along = column - 1; along <= column + 1; along += 1) {
        const turns = Math.floor(along / columns);
        const at = (level + MARGIN) * columns + along - turns * columns;
        const across = x - xs[at] - turns * round;
        const above = (up - ys[at]) / DRAWN;
        const down = above < 0 ? above / BELOW : above;
        const off = Math.sqrt(across * across + down * down);
        const strong = Math.exp(-((off / (FADES.from + (FADES.to - FADES.from) * size[at])) ** 2));
        if (strong <= most) continue;
        const turned = ((sense[at] < 0.5 ? -1 : 1) * Math.atan2(down, across)) / (2 * Math.PI);
        const ridge = 0.5 + 0.5 * Math.cos(2 * Math.PI * (off / TURNS - turned + phase[at]));
        most = Math.max(most, strong * (0.35 + 0.65 * ridge));
      }
    return -most - BRISTLE.counts * noise(turn * bristles, height / BRISTLE.long, seed + 3, bristles);
  };
  // What lies thickest first.
  const [thick, thin] = levelsOf(value, tall, [share / 2, share / 2]);
  return {
    classes: 3,
    classAt(turn, up) {
      const here = value(turn, up);
      return here < thick ? 2 : here < thin ? 1 : 0;
    },
  };
}
