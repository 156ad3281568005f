import type { Cup, Station } from '../vessel';
import { handleReach } from './handle-loop';
import { LOOK_DOWN, radiusAt, topOf, widestRadius, type Stance } from './projection';

/** What of a cup is drawn. */
export type Standing = Pick<Cup, 'stations' | 'handle'>;

/** How far a cup reaches from its axis, whichever way it is turned, mm. */
const spread = (cup: Standing): number => Math.max(widestRadius(cup.stations), handleReach(cup));

/** The largest stance that fits a box, pixels. */
export function stanceIn(cup: Standing, width: number, height: number, margin: number): Stance {
  const { stations } = cup;
  const scale = Math.min((width - 2 * margin) / (2 * spread(cup)), (height - 2 * margin) / standing(stations));
  return { scale, axis: width / 2, ground: height - margin - radiusAt(stations, 0) * Math.sin(LOOK_DOWN) * scale };
}

/** How tall a cup stands in a picture, in mm of it: its height tilted, and the dips of foot and rim. */
const standing = (stations: readonly Station[]): number =>
  topOf(stations) * Math.cos(LOOK_DOWN) + (radiusAt(stations, 0) + radiusAt(stations, topOf(stations))) * Math.sin(LOOK_DOWN);

/** The smallest picture a cup stands in at a scale, css pixels a mm, with a little room about it. */
export const figureBox = (cup: Standing, scale: number): { readonly width: number; readonly height: number } => ({
  width: Math.ceil(2 * spread(cup) * scale) + 4,
  height: Math.ceil(standing(cup.stations) * scale) + 4,
});

/** Where it stands in that picture, drawn with so many dots a css pixel. */
export function figureStance(cup: Standing, scale: number, dots: number): Stance {
  const { width, height } = figureBox(cup, scale);
  const dip = radiusAt(cup.stations, 0) * Math.sin(LOOK_DOWN) * scale * dots;
  return { scale: scale * dots, axis: (width * dots) / 2, ground: height * dots - 2 * dots - dip };
}
