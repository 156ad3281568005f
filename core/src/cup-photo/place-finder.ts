import { insideOf, type Region } from '../regions';

/** Finds the place a point of the wall lies in: its index among those given, -1 in none of them. */
export function placeFinder(places: readonly { readonly region: Region }[]): (angle: number, height: number) => number {
  const polygons = places.flatMap(({ region }, place) => region.map((polygon) => ({ place, inside: insideOf(polygon) })));
  return (angle, height) => {
    for (const { place, inside } of polygons) if (inside(angle, height)) return place;
    return -1;
  };
}
