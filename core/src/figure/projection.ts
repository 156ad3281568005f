import { circumferenceAt, radiusOf, type Station } from '../vessel';

/** How far above the rim's level one looks down, radians: enough to see into the cup. */
export const LOOK_DOWN = 0.13;

/** Where a cup stands on a drawing: mm seen straight from the side, tilted a little towards the eye. */
export interface Stance {
  /** pixels a mm */
  readonly scale: number;
  /** x of the axis and y of the foot's centre, pixels */
  readonly axis: number;
  readonly ground: number;
}

export const widestRadius = (stations: readonly Station[]): number =>
  radiusOf(Math.max(...stations.map((station) => station.circumference)));

export const topOf = (stations: readonly Station[]): number => stations[stations.length - 1].height;

export const radiusAt = (stations: readonly Station[], height: number): number =>
  radiusOf(circumferenceAt(stations, Math.min(topOf(stations), Math.max(0, height))));

/** The y of the outline at a height: the scale beside the cup is read off there. */
export const rowOf = (stance: Stance, height: number): number => stance.ground - height * stance.scale * Math.cos(LOOK_DOWN);

/** The largest stance that fits a box, pixels. */
export function stanceIn(stations: readonly Station[], width: number, height: number, margin: number): Stance {
  const radius = widestRadius(stations);
  const scale = Math.min((width - 2 * margin) / (2 * radius), (height - 2 * margin) / standing(stations));
  return { scale, axis: width / 2, ground: height - margin - radiusAt(stations, 0) * Math.sin(LOOK_DOWN) * scale };
}

/** How tall a cup stands in a picture, in mm of it: its height tilted, and the dips of foot and rim. */
const standing = (stations: readonly Station[]): number =>
  topOf(stations) * Math.cos(LOOK_DOWN) + (radiusAt(stations, 0) + radiusAt(stations, topOf(stations))) * Math.sin(LOOK_DOWN);

/** The smallest picture a cup stands in at a scale, css pixels a mm, with a little room about it. */
export const figureBox = (stations: readonly Station[], scale: number): { readonly width: number; readonly height: number } => ({
  width: Math.ceil(2 * widestRadius(stations) * scale) + 4,
  height: Math.ceil(standing(stations) * scale) + 4,
});

/** Where it stands in that picture, drawn with so many dots a css pixel. */
export function figureStance(stations: readonly Station[], scale: number, dots: number): Stance {
  const { width, height } = figureBox(stations, scale);
  const dip = radiusAt(stations, 0) * Math.sin(LOOK_DOWN) * scale * dots;
  return { scale: scale * dots, axis: (width * dots) / 2, ground: height * dots - 2 * dots - dip };
}
