import * as z from 'zod';

/* Where makers disagree, both sides work. A workshop has its own way, and a design may go another. */
const sealing = z.enum(['always', 'after dry glue', 'never']);
const ground = z.enum(['matched', 'white', 'bare']);
const painting = z.enum(['sprayed', 'brushed', 'pearl in glue']);
const firstCoat = z.enum(['one thick', 'two thin']);
const betweenCoats = z.enum(['sand', 'high spots', 'tack']);
const bubbles = z.enum(['flame', 'warm air', 'leave']);
const mixing = z.enum(['together', 'each alone first']);
const unmasking = z.enum(['while wet', 'after drying']);

/** The schools of a workshop; what was kept before one was asked for has its usual answer. */
export const schoolFields = {
  /** when raw glitter is sealed before resin */
  sealing,
  ground: ground.default('matched'),
  painting: painting.default('sprayed'),
  firstCoat: firstCoat.default('one thick'),
  betweenCoats: betweenCoats.default('sand'),
  bubbles: bubbles.default('warm air'),
  mixing: mixing.default('together'),
  unmasking: unmasking.default('while wet'),
} as const;

/** Where one design goes another way than its workshop. */
export const ownSchoolsSchema = z
  .strictObject({ sealing, ground, painting, firstCoat, betweenCoats, bubbles, mixing, unmasking })
  .partial();

/** A workshop’s settings with a design’s own schools in their place. */
export const schooled = <Settings extends Schools>(settings: Settings, own: OwnSchools | undefined): Settings =>
  own === undefined ? settings : { ...settings, ...own };

export type Schools = Required<z.infer<typeof ownSchoolsSchema>>;
export type OwnSchools = z.infer<typeof ownSchoolsSchema>;
export type School = keyof Schools;

export const usualSchools: Schools = {
  sealing: 'after dry glue',
  ground: 'matched',
  painting: 'sprayed',
  firstCoat: 'one thick',
  betweenCoats: 'sand',
  bubbles: 'warm air',
  mixing: 'together',
  unmasking: 'while wet',
};
