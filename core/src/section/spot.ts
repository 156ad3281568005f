import type { AreaId, WallPlace } from '../areas';
import { BARE_BASE, LEFT_OVER } from '../layout';
import type { Plan } from '../plan';
import { boxOf, inPolygon, inRegion, middleOf, type Region } from '../regions';

/** What lies at a spot of the wall. */
export interface SpotPlace {
  /** as coats know it; null where none goes */
  readonly id: string | null;
  readonly area: AreaId | null;
  readonly name: string;
}

const holds = (region: Region, { angle, height }: WallPlace): boolean => inRegion(region, angle, height);

/** Which place of the wall a spot lies in; the lip strip and what is under the handle are none. */
export function placeAt({ places, leftOver, areas }: Pick<Plan, 'places' | 'leftOver' | 'areas'>, spot: WallPlace): SpotPlace {
  const place = places.findLast(({ region }) => holds(region, spot));
  if (place) return { ...place, area: place.area === LEFT_OVER ? null : place.area };
  if (holds(leftOver, spot)) return { id: LEFT_OVER, area: null, name: 'left over' };
  const handle = holds(areas.barePatch.region, spot);
  return { id: null, area: null, name: handle ? 'under the handle' : 'the bare lip' };
}

/** The base's own place, for cups of which no area has it. */
export const BASE_SPOT: SpotPlace = { id: BARE_BASE, area: null, name: 'base' };

/** Shares of a box that are tried for a spot inside, the middle first. */
const TRIES = [0.5, 0.3, 0.7, 0.15, 0.85, 0.05, 0.95];

/** A spot that lies in a region, near its middle where that does; null of nothing, and of what is too thin to hit. */
export function spotIn(region: Region): WallPlace | null {
  const middle = middleOf(region);
  if (middle && holds(region, middle)) return middle;
  for (const polygon of region) {
    const { left, right, bottom, top } = boxOf(polygon[0]);
    for (const up of TRIES)
      for (const round of TRIES) {
        const spot = { angle: left + (right - left) * round, height: bottom + (top - bottom) * up };
        if (inPolygon(polygon, spot.angle, spot.height)) return spot;
      }
  }
  return null;
}
