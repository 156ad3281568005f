import * as z from 'zod';
import type { Region } from '../regions';
import type { Cup, Level } from '../vessel';
import type { AreaFault, AreaHandle, AreaKind, WallPlace } from './area-kind';
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

export * from './area-id';
export type { AreaFault, AreaHandle, AreaKind, WallPlace } from './area-kind';
export * from './edge';
export type { Band } from './band';
export type { Wedge } from './wedge';
export type { Spiral } from './spiral';
export { waveLength, type Wave } from './wave';
export { fromSeam, type Window } from './window';
export { MOST_MOTIFS, scatteredPlaces, type Scatter } from './scatter';
export * from './starting-area';
