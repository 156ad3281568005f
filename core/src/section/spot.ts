import type { AreaId, WallPlace } from '../areas';
import { BARE_BASE, LEFT_OVER } from '../layout';
import type { Plan } from '../plan';
import { boxOf, inRegion, middleOf, type Region } from '../regions';

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

/** How clear of every edge a spot is looked for, in degrees and mm: on an edge it would be two places’, or neither’s. */
const CLEAR = [1, 0.1, 1e-6];

/** A spot that lies in a region, near its middle where that does; null of nothing, and of what is too thin to hit. */
export function spotIn(region: Region): WallPlace | null {
  const middle = middleOf(region);
  const tried = [...(middle ? [middle] : []), ...region.flatMap(([outline]) => spotsIn(boxOf(outline)))];
  for (const clear of CLEAR) {
    const spot = tried.find((one) => aroundOf(one, clear).every((near) => holds(region, near)));
    if (spot) return spot;
  }
  return null;
}

const spotsIn = ({ left, right, bottom, top }: ReturnType<typeof boxOf>): readonly WallPlace[] =>
  TRIES.flatMap((up) => TRIES.map((round) => ({ angle: left + (right - left) * round, height: bottom + (top - bottom) * up })));

const aroundOf = ({ angle, height }: WallPlace, clear: number): readonly WallPlace[] =>
  [
    [0, 0],
    [-clear, 0],
    [clear, 0],
    [0, -clear],
    [0, clear],
  ].map(([round, up]) => ({ angle: (angle + round + 360) % 360, height: height + up }));
