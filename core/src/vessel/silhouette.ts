import { heightOf } from './cup';
import { radiusOf, type Station } from './station';

/** A cup seen from the side, mm: its outline and where each reading's tape lies on it. Axis at x = 0, foot at y = 0, y upwards. */
export interface Silhouette {
  readonly width: number;
  readonly height: number;
  /** the right half, from the foot up */
  readonly profile: readonly (readonly [x: number, y: number])[];
}

export function silhouette(stations: readonly Station[]): Silhouette {
  const profile = stations.map(({ height, circumference }) => [radiusOf(circumference), height] as const);
  return { width: 2 * Math.max(...profile.map(([x]) => x)), height: heightOf({ stations }), profile };
}
