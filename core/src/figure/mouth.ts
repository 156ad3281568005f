import type { Station } from '../vessel';
import { LOOK_DOWN, radiusAt, rowOf, topOf, type Stance } from './projection';

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
    line: Math.max(1, 1.6 * stance.scale),
  };
}

/** What is seen inside, from left to right, and the metal of the rim. */
export const mouthColours = { left: '#4c5358', middle: '#70787d', right: '#565d62', rim: '#c5cad0' } as const;
