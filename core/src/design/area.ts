import * as z from 'zod';

export const areaIdSchema = z.string().trim().min(1, 'An area needs an id.').max(64).brand<'AreaId'>();
export type AreaId = z.infer<typeof areaIdSchema>;

const name = z.string().trim().min(1, 'Give the area a name.').max(60, 'Keep the area’s name under 60 letters.');
const height = z
  .number({ error: 'Give a height in mm above the foot.' })
  .min(0, 'A height is measured upwards from the foot, so it can’t be negative.')
  .max(600, 'No cup is over 600 mm tall.');

const band = z.strictObject({ kind: z.literal('band'), id: areaIdSchema, name, from: height, to: height });
const base = z.strictObject({ kind: z.literal('base'), id: areaIdSchema, name });

/** A part of the cup that takes one blend: a band between two heights, or the disc underneath. */
export const areaSchema = z.discriminatedUnion('kind', [band, base], { error: 'An area is a band or the base.' });
export type Area = z.infer<typeof areaSchema>;
export type Band = z.infer<typeof band>;
