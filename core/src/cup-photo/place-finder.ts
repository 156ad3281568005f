import { boxOf, inPolygon, type Region } from '../regions';

/** Finds the place a point of the wall lies in: its index among those given, -1 in none of them. */
export function placeFinder(places: readonly { readonly region: Region }[]): (angle: number, height: number) => number {
  const boxed = places.flatMap(({ region }, place) => region.map((polygon) => ({ place, polygon, box: boxOf(polygon[0]) })));
  return (angle, height) => {
    for (const { place, polygon, box } of boxed) {
      if (angle < box.left || angle > box.right || height < box.bottom || height > box.top) continue;
      if (inPolygon(polygon, angle, height)) return place;
    }
    return -1;
  };
}
