import type { AreaId } from '../areas';
import type { CoatHeights } from '../design';
import type { Region } from '../regions';
import type { Station } from '../vessel';
import type { FadeSlice } from './fade-slices';
import { endsOn, type CoatLevels } from './coat-ends';
import { partedAt, partName, type HeightPart } from './height-parts';
import type { PlannedArea, PlannedAreas } from './planned-areas';

/* With a “/”, which no area's id has. */
export const LEFT_OVER = '/left-over';
export const BARE_BASE = '/base-bare';
export const BARE_GRIP = '/grip-bare';

/** A place of the wall that is laid alike all over: an area, a pot of one that fades, or a part of them between heights. */
export interface PlannedPlace {
  readonly id: AreaId;
  /** or `LEFT_OVER` */
  readonly area: AreaId;
  readonly name: string;
  readonly region: Region;
  /** what a line is drawn round: its region; of parts that run into each other, all of them at the lowest, null at the others */
  readonly edge: Region | null;
}

/** An area that fades, with where each of its pots lies. */
export interface SlicedArea {
  readonly area: AreaId;
  readonly slices: readonly FadeSlice[];
}

/** The wall, place by place. */
export interface PlacedWall {
  /** areas, pots of those that fade, and what no area covers, in the order they are laid */
  readonly whole: readonly WallPlace[];
  /** the same, parted at the heights where coats end */
  readonly places: readonly WallPlace[];
  /** every place that was parted, with its parts from below; one of them, the largest, keeps its id and stands for it */
  readonly parted: ReadonlyMap<string, readonly WallPlace[]>;
}

interface WallPlace extends PlannedPlace {
  /** cm² */
  readonly size: number;
  /** null where no coat ends at a height, and of what isn't on the wall */
  readonly heights: CoatHeights | null;
}

/** Every place that coats can lie on: areas, pots of those that fade, parts of them, and the three that no area covers. */
export interface CupPlaces {
  /** cm² of every place */
  readonly sizes: Readonly<Record<string, number>>;
  /** of every place, and of every area that fades */
  readonly names: Readonly<Record<string, string>>;
  /** places kept free of glue and glitter by a mask */
  readonly masked: ReadonlySet<string>;
  /** the places that an area is laid in, where it is more than one: its pots, parts of it between heights */
  readonly pots: Readonly<Record<string, readonly string[]>>;
  /** the parts of a place that coats part at a height, itself for one of them */
  readonly parts: Readonly<Record<string, readonly string[]>>;
  /** of every place of the wall */
  readonly regions: Readonly<Record<string, Region>>;
  /** of every place of the wall, once some coat ends at a height */
  readonly heights: Readonly<Record<string, CoatHeights>>;
}

/** The wall of a cup that was split up, parted further at the heights where coats end. */
export function placedWall(
  planned: PlannedAreas,
  fades: readonly SlicedArea[],
  levels: Pick<CoatLevels, 'ends'>,
  stations: readonly Station[],
): PlacedWall {
  const slicesOf = (area: PlannedArea): readonly Pick<FadeSlice, 'id' | 'name' | 'region' | 'area'>[] =>
    fades.find((fade) => fade.area === area.id)?.slices ?? [area];
  const { leftOver } = planned;
  const leftId = LEFT_OVER as AreaId;
  const whole: readonly WallPlace[] = [
    ...planned.areas.flatMap((area) =>
      slicesOf(area).map(({ id, name, region, area: size }) => ({
        id,
        area: area.id,
        name,
        region,
        edge: region,
        size,
        heights: null,
      })),
    ),
    {
      id: leftId,
      area: leftId,
      name: 'left over',
      region: leftOver.region,
      edge: leftOver.region,
      size: leftOver.area,
      heights: null,
    },
  ];
  if (levels.ends.length === 0) return { whole, places: whole, parted: new Map() };
  const parted = new Map<string, readonly WallPlace[]>();
  const places = whole.flatMap((place): readonly WallPlace[] => {
    const cut = partedAt(place.region, endsOn(levels, place.area, true), stations);
    if (cut.length < 2) return [{ ...place, heights: cut.at(0)?.heights ?? null }];
    const largest = cut.reduce((most, one, i) => (one.size > cut[most].size ? i : most), 0);
    const lined = partedAt(place.region, endsOn(levels, place.area, false), stations);
    const parts = cut.map((part, i) => ({
      ...part,
      edge: lined.find(({ heights }) => lowestIn(cut, heights) === i)?.region ?? null,
      area: place.area,
      id: i === largest ? place.id : (`${place.id}/level-${part.heights.from}` as AreaId),
      name: `${place.name}, ${partName(i, cut.length)}`,
    }));
    parted.set(place.id, parts);
    return parts;
  });
  return { whole, places, parted };
}

/** Which part is the lowest between two heights. */
const lowestIn = (parts: readonly HeightPart[], { from, to }: CoatHeights): number =>
  parts.findIndex(({ heights }) => heights.from >= from - 1e-9 && heights.to <= to + 1e-9);

/** The places of a cup as coats see them. */
export function placesOfCup(planned: PlannedAreas, { whole, places, parted }: PlacedWall): CupPlaces {
  const all = [
    ...places,
    { id: BARE_BASE, name: 'base', size: planned.bareBase },
    { id: BARE_GRIP, name: 'handle', size: planned.bareGrip },
  ];
  const masked = new Set<string>(planned.areas.filter((area) => area.masked).map(({ id }) => id));
  const ofArea = (area: string) => places.filter((place) => place.area === area).map(({ id }) => id as string);
  return {
    sizes: Object.fromEntries(all.map(({ id, size }) => [id, size])),
    names: Object.fromEntries([...all, ...whole, ...planned.areas].map(({ id, name }) => [id, name])),
    masked: new Set<string>(places.filter(({ area }) => masked.has(area)).map(({ id }) => id)),
    pots: Object.fromEntries(
      [...planned.areas.map(({ id }) => id), LEFT_OVER]
        .map((id) => [id, ofArea(id)] as const)
        .filter(([id, pots]) => pots.length !== 1 || pots[0] !== id),
    ),
    parts: Object.fromEntries([...parted].map(([id, parts]) => [id, parts.map((part) => part.id)])),
    regions: Object.fromEntries(places.map(({ id, region }) => [id, region])),
    heights: Object.fromEntries(places.flatMap(({ id, heights }) => (heights ? [[id, heights] as const] : []))),
  };
}
