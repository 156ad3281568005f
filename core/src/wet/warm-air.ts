import type { WetFilm } from './wet-film';
import type { AirStroke } from './wet-wish';

/** Warm air over a wet film for a while: how it drags at each cell, round and up, Pa, and how many times thinner the resin gets. */
export interface WarmAir {
  readonly seconds: number;
  readonly right: Float64Array;
  readonly up: Float64Array;
  readonly thinner: Float64Array;
}

/** Pa: ½·ρ·c·U² of air at about 10 m/s along a wall, c 0.01 */
const DRAG = 0.6;
/** A film under a warm stroke gets about 15 °C warmer, and resin flows twice as readily every 10 °C. */
const THINNER = 2 ** 1.5;
/** mm of bare film round the colour that the stroke takes in */
const AROUND = 12;

/** A stroke over all colour that is laid. */
export function airOver({ grid, colour, all }: WetFilm, { seconds, towards }: AirStroke): WarmAir {
  const { columns, rows, across, rise } = grid;
  const blown = new Uint8Array(all.length);
  const near = Math.ceil(AROUND / rise);
  for (let row = 0; row < rows; row += 1) {
    const wide = Math.min(columns >> 1, Math.ceil(AROUND / across[row]));
    for (let i = 0; i < columns; i += 1) {
      if (!colour.some((pot) => pot[row * columns + i] > 0)) continue;
      for (let up = Math.max(0, row - near); up <= Math.min(rows - 1, row + near); up += 1)
        for (let aside = -wide; aside <= wide; aside += 1) blown[up * columns + ((i + aside + columns) % columns)] = 1;
    }
  }
  const [right, up] = [Math.sin((towards * Math.PI) / 180), Math.cos((towards * Math.PI) / 180)];
  return {
    seconds,
    right: Float64Array.from(blown, (is) => is * DRAG * right),
    up: Float64Array.from(blown, (is) => is * DRAG * up),
    thinner: Float64Array.from(blown, (is) => (is ? THINNER : 1)),
  };
}
