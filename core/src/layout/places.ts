import type { AreaId } from '../areas';
import type { Region } from '../regions';
import type { FadeSlice } from './fade-slices';
import type { PlannedArea, PlannedAreas } from './planned-areas';

/* With a “/”, which no area's id has. */
export const LEFT_OVER = '/left-over';
export const BARE_BASE = '/base-bare';
export const BARE_GRIP = '/grip-bare';

/** A place of the wall that is laid alike all over: an area, or a pot of one that fades. */
export interface PlannedPlace {
  readonly id: AreaId;
  readonly area: AreaId;
  readonly name: string;
  readonly region: Region;
}

/** An area that fades, with where each of its pots lies. */
export interface SlicedArea {
  readonly area: AreaId;
  readonly slices: readonly FadeSlice[];
}

/** Every place that coats can lie on: areas, pots of those that fade, and the three that no area covers. */
export interface CupPlaces {
  /** cm² of every place */
  readonly sizes: Readonly<Record<string, number>>;
  /** of every place, and of every area that fades */
  readonly names: Readonly<Record<string, string>>;
  /** places kept free of glue and glitter by a mask */
  readonly masked: ReadonlySet<string>;
  /** the places that an area which fades is laid in */
  readonly pots: Readonly<Record<string, readonly string[]>>;
}

/** The places of a cup that was split up. */
export function placesOfCup(planned: PlannedAreas, fades: readonly SlicedArea[]): CupPlaces {
  const slices = (area: string) => fades.find((fade) => fade.area === area)?.slices;
  const onArea = (area: PlannedArea): readonly { readonly id: string; readonly name: string; readonly area: number }[] =>
    slices(area.id) ?? [area];
  const places = [
    ...planned.areas.flatMap(onArea).map(({ id, name, area }) => ({ id, name, area })),
    { id: LEFT_OVER, name: 'left over', area: planned.leftOver.area },
    { id: BARE_BASE, name: 'base', area: planned.bareBase },
    { id: BARE_GRIP, name: 'handle', area: planned.bareGrip },
  ];
  return {
    sizes: Object.fromEntries(places.map((place) => [place.id, place.area])),
    names: Object.fromEntries([...planned.areas, ...places].map((place) => [place.id, place.name])),
    masked: new Set<string>(
      planned.areas.filter((area) => area.masked).flatMap(({ id }) => slices(id)?.map((slice) => slice.id) ?? [id]),
    ),
    pots: Object.fromEntries(fades.map((fade) => [fade.area as string, fade.slices.map(({ id }) => id as string)])),
  };
}

/** The wall, place by place: areas, and the pots of those that fade. */
export const placesOnWall = (planned: PlannedAreas, fades: readonly SlicedArea[]): readonly PlannedPlace[] =>
  planned.areas.flatMap(({ id, name, region }) =>
    (fades.find(({ area }) => area === id)?.slices ?? [{ id, name, region }]).map((place) => ({
      id: place.id,
      area: id,
      name: place.name,
      region: place.region,
    })),
  );
