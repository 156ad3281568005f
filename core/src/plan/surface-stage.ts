import type { Area, Band } from '../design';
import {
  bandSpans,
  baseArea,
  bareWallColour,
  circumferenceAt,
  coatedHeight,
  enclosedVolume,
  heightOf,
  spansArea,
  wallArea,
  type Cup,
} from '../vessel';
import { bareGround, BARE_BASE, LEFT_OVER, type Grounds } from '../coats';
import type { PlannedArea, PlannedAreas, PlannedSurface } from './plan';

export function surfaceOf(cup: Cup): PlannedSurface {
  const { stations } = cup;
  const wall = wallArea(stations);
  const base = baseArea(stations);
  return {
    height: heightOf(cup),
    coatedHeight: coatedHeight(cup),
    footCircumference: stations[0].circumference,
    rimCircumference: stations[stations.length - 1].circumference,
    wall,
    base,
    coatable: wallArea(stations, 0, coatedHeight(cup)) + base,
    volume: enclosedVolume(stations),
  };
}

/** Later areas take from earlier; areas, left over, bare base and bare lip together are wall + base. */
export function areasOf(cup: Cup, areas: readonly Area[]): PlannedAreas {
  const { stations } = cup;
  const bands = areas.filter((area): area is Band => area.kind === 'band');
  const { kept, left } = bandSpans(bands, coatedHeight(cup));
  const lastBase = areas.findLast((area) => area.kind === 'base');
  const planned = areas.map((area): PlannedArea => {
    const { id, name, kind } = area;
    if (kind === 'base') {
      const size = area === lastBase ? baseArea(stations) : 0;
      return { id, name, kind, spans: [], from: null, to: null, area: size, lowerWidth: null, upperWidth: null };
    }
    const spans = kept[bands.indexOf(area)];
    const { from, to } = area;
    return {
      id,
      name,
      kind,
      spans,
      from,
      to,
      area: spansArea(stations, spans),
      lowerWidth: circumferenceAt(stations, from),
      upperWidth: circumferenceAt(stations, to),
    };
  });
  const leftOver = { area: spansArea(stations, left), spans: left };
  const bareBase = lastBase ? 0 : baseArea(stations);
  const covered = planned.reduce((sum, area) => sum + (area.kind === 'band' ? area.area : 0), 0);
  return { areas: planned, leftOver, bareBase, bareLip: Math.max(0, wallArea(stations) - covered - leftOver.area) };
}

/** cm² and names of every place that coats can lie on, and the cup as it comes. */
export function placesOfCup(
  cup: Cup,
  planned: PlannedAreas,
): { sizes: Record<string, number>; names: Record<string, string>; grounds: Grounds } {
  const places = [
    ...planned.areas.map(({ id, name, area }) => ({ id: id as string, name, area })),
    { id: LEFT_OVER, name: 'left over', area: planned.leftOver.area },
    { id: BARE_BASE, name: 'base', area: planned.bareBase },
  ];
  const bare = bareGround(bareWallColour[cup.material]);
  return {
    sizes: Object.fromEntries(places.map((place) => [place.id, place.area])),
    names: Object.fromEntries(places.map((place) => [place.id, place.name])),
    grounds: Object.fromEntries(places.map((place) => [place.id, bare])),
  };
}
