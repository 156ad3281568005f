import * as z from 'zod';
import { areaIdSchema } from '../areas';
import { shelfItemIdSchema } from '../stock';

/** So many ml of one glitter off the shelf, for one pour over the whole area. */
const partSchema = z.strictObject({
  item: shelfItemIdSchema,
  ml: z
    .number({ error: 'Give the amount in ml.' })
    .positive('An amount is above zero; take the glitter out instead.')
    .max(500, 'No cup takes over 500 ml of one glitter.'),
});

/** Jars, or none. */
export const pouredSchema = z
  .array(partSchema)
  .max(15, 'Fifteen glitters are the most a blend takes.')
  .refine(
    (parts) => new Set(parts.map((part) => part.item)).size === parts.length,
    'A glitter is in this blend twice. Add their amounts up.',
  );

/** Jars in proportions. */
export const partsSchema = pouredSchema.min(1, 'A blend of nothing covers nothing. Add a glitter or take the blend out.');

/** What is poured on an area, each pass. */
export const blendSchema = z.strictObject({ area: areaIdSchema, parts: partsSchema });
export type Blend = z.infer<typeof blendSchema>;
