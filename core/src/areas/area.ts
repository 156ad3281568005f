import * as z from 'zod';
import type { Region } from '../regions';
import type { Units } from '../units';
import { levelHeight, type Cup, type Level } from '../vessel';
import type { AreaId } from './area-id';
import type { AreaFault, AreaHandle, AreaKind, AreaMeasures, HandleFigure, WallPlace } from './area-kind';
import { band, bandSchema } from './band';
import { base, baseSchema } from './base';
import { grip, gripSchema } from './grip';
import { scatter, scatterSchema } from './scatter';
import { spiral, spiralSchema } from './spiral';
import { wave, waveSchema } from './wave';
import { wedge, wedgeSchema } from './wedge';
import { window, windowSchema } from './window';

/** A part of the cup that takes one blend. Later areas lie on earlier ones. */
export const areaSchema = z.discriminatedUnion(
  'kind',
  [bandSchema, wedgeSchema, spiralSchema, waveSchema, windowSchema, scatterSchema, baseSchema, gripSchema],
  { error: 'An area is a band, wedge, spiral, wave, window, scatter, base or grip.' },
);
export type Area = z.infer<typeof areaSchema>;
export type AreaKindName = Area['kind'];
export type AreaOf<Kind extends AreaKindName> = Extract<Area, { kind: Kind }>;

/** Every kind of area. */
export const areaKinds = { band, wedge, spiral, wave, window, scatter, base, grip } satisfies {
  [Kind in AreaKindName]: AreaKind<AreaOf<Kind>>;
};

/** The kind of an area, taking just that area; the union can't say so to the compiler. */
const kindOf = (area: Area): AreaKind<Area> => areaKinds[area.kind] as unknown as AreaKind<Area>;

/** An area's own shape on the wall, before later areas take from it; `host` is what it is scattered in. */
export const areaShape = (area: Area, cup: Cup, host: Region | null): Region => kindOf(area).shape(area, cup, host);
export const areaFaults = (area: Area, cup: Cup): readonly AreaFault[] => kindOf(area).faults(area, cup);
export const areaWidths = (area: Area, cup: Cup): { readonly lower: number; readonly upper: number } | null =>
  kindOf(area).widths(area, cup);
/** Where an area can be taken hold of; a locked one nowhere. */
export const areaHandles = (area: Area, cup: Cup): readonly AreaHandle[] => (area.locked ? [] : kindOf(area).handles(area, cup));
export const areaMoved = (area: Area, key: string, to: WallPlace, cup: Cup): Area =>
  area.locked ? area : kindOf(area).moved(area, key, to, cup);
export const areaWithLevels = (area: Area, change: (level: Level) => Level): Area => kindOf(area).withLevels(area, change);
export const areaWeight = (area: Area): number => kindOf(area).weight(area);
export const areaAside = (area: Area): Area => kindOf(area).aside(area);
/** The same area mirrored; null of what has no sides, is alike on both, or falls by chance. */
export function areaMirrored(area: Area): Area | null {
  const mirrored = kindOf(area).mirrored(area);
  const told = (one: Area | null) =>
    JSON.stringify(one, (_, value) => (typeof value === 'number' ? Number(value.toFixed(6)) : value));
  return told(mirrored) === told(area) ? null : mirrored;
}
export const areaSqueezed = (area: Area, ratio: number): Area => kindOf(area).squeezed(area, ratio);
/** How an area is laid, in words and figures that make it again on the same cup. */
export const areaWords = (area: Area, laid: AreaMeasures | null, units: Units): string => kindOf(area).words(area, laid, units);
export const areaFigures = (area: Area, cup: Cup, units: Units): readonly HandleFigure[] =>
  kindOf(area).figures(area, cup, units);

/**
 * What a new area of a kind starts from.
 * @param number tells it apart in its name
 * @param reached mm above the foot up to which bands lie already
 */
export function startingArea(kind: AreaKindName, id: AreaId, number: number, cup: Cup, reached: number): Area {
  const { name, single, start } = areaKinds[kind];
  // The kind's own start has just its own fields; the union can't say so to the compiler.
  return { id, name: single ? name : `${name} ${number}`, locked: false, masked: false, ...start(cup, reached) } as Area;
}

/** How high up the wall the bands among some areas reach, mm. */
export const reachedByBands = (areas: readonly Area[], cup: Cup): number =>
  Math.max(0, ...areas.flatMap((area) => (area.kind === 'band' ? [levelHeight(area.upper.level, cup)] : [])));
