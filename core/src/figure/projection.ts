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
