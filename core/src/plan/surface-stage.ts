import { bareGround, BARE_BASE, BARE_GRIP, LEFT_OVER, type Grounds, type PotsOf } from '../coats';
import { bandRegion, leftOf, wallMeasure } from '../regions';
import { bareWallColour, coatedHeight, enclosedVolume, gripArea, heightOf, undersideArea, wallArea, type Cup } from '../vessel';
import { handlePatch } from './layout-stage';
import type { PlannedArea, PlannedAreas, PlannedFade, PlannedPlace, PlannedSurface } from './plan';

export function surfaceOf(cup: Cup): PlannedSurface {
  const { stations } = cup;
  const [base, grip] = [undersideArea(cup), gripArea(cup)];
  const coated = bandRegion(0, coatedHeight(cup));
  return {
    height: heightOf(cup),
    coatedHeight: coatedHeight(cup),
    footCircumference: stations[0].circumference,
    rimCircumference: stations[stations.length - 1].circumference,
    wall: wallArea(stations),
    base,
    grip,
    coatable: wallMeasure(stations).areaOf(leftOf(coated, [handlePatch(cup)])) + base + grip,
    volume: enclosedVolume(stations),
  };
}

/** cm² and names of every place that coats can lie on, and the cup as it comes. */
export function placesOfCup(
  cup: Cup,
  planned: PlannedAreas,
  fades: readonly PlannedFade[],
): { sizes: Record<string, number>; names: Record<string, string>; masked: ReadonlySet<string>; grounds: Grounds; pots: PotsOf } {
  const slices = (area: string) => fades.find((fade) => fade.area === area)?.slices;
  const onArea = (area: PlannedArea): readonly { readonly id: string; readonly name: string; readonly area: number }[] =>
    slices(area.id) ?? [area];
  const places = [
    ...planned.areas.flatMap(onArea).map(({ id, name, area }) => ({ id, name, area })),
    { id: LEFT_OVER, name: 'left over', area: planned.leftOver.area },
    { id: BARE_BASE, name: 'base', area: planned.bareBase },
    { id: BARE_GRIP, name: 'handle', area: planned.bareGrip },
  ];
  const bare = bareGround(bareWallColour[cup.material]);
  return {
    sizes: Object.fromEntries(places.map((place) => [place.id, place.area])),
    names: Object.fromEntries([...planned.areas, ...places].map((place) => [place.id, place.name])),
    masked: new Set<string>(
      planned.areas.filter((area) => area.masked).flatMap(({ id }) => slices(id)?.map((slice) => slice.id) ?? [id]),
    ),
    grounds: Object.fromEntries(places.map((place) => [place.id, bare])),
    pots: Object.fromEntries(fades.map((fade) => [fade.area as string, fade.slices.map(({ id }) => id as string)])),
  };
}

/** The wall, place by place: areas, and the pots of those that fade. */
export const placesOnWall = (planned: PlannedAreas, fades: readonly PlannedFade[]): readonly PlannedPlace[] =>
  planned.areas.flatMap(({ id, name, region }) =>
    (fades.find(({ area }) => area === id)?.slices ?? [{ id, name, region }]).map((place) => ({
      id: place.id,
      area: id,
      name: place.name,
      region: place.region,
    })),
  );
