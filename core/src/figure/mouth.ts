import type { Station } from '../vessel';
import { LOOK_DOWN, radiusAt, rowOf, topOf, type Stance } from './projection';

/** How thick a rim is, mm, and the most of a narrow mouth that it takes, of its radius. */
const RIM = { thick: 1.6, most: 0.08 };

/** How thick a cup's rim is drawn, mm: no ring of metal on a narrow neck. */
export const rimThickness = (stations: readonly Station[]): number =>
  Math.min(RIM.thick, RIM.most * radiusAt(stations, topOf(stations)));

/** The open rim, looked into: an ellipse, pixels, and the line round it. */
export function mouthOf(
  stations: readonly Station[],
  stance: Stance,
): { readonly x: number; readonly y: number; readonly across: number; readonly down: number; readonly line: number } {
  const across = radiusAt(stations, topOf(stations)) * stance.scale;
  return {
    x: stance.axis,
    y: rowOf(stance, topOf(stations)),
    across,
    down: across * Math.sin(LOOK_DOWN),
    line: Math.max(1, rimThickness(stations) * stance.scale),
  };
}

/** What is seen inside, from left to right, and the metal of the rim. */
export const mouthColours = { left: '#4c5358', middle: '#70787d', right: '#565d62', rim: '#c5cad0' } as const;
