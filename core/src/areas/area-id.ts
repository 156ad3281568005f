import * as z from 'zod';
import { idText } from '../units';

export const areaIdSchema = idText('An area needs an id.')
  .refine((id) => !id.includes('/'), 'An area’s id has no “/”: pots and bare places are named with it. Choose another.')
  .brand<'AreaId'>();
export type AreaId = z.infer<typeof areaIdSchema>;

/** What every area has, whatever its shape. */
export const sharedFields = {
  id: areaIdSchema,
  name: z.string().trim().min(1, 'Give the area a name.').max(60, 'Keep the area’s name under 60 letters.'),
  /** locked: nothing moves it until it is unlocked */
  locked: z.boolean().default(false),
  /** masked: cut out of the areas under it, and kept free of glue and glitter */
  masked: z.boolean().default(false),
} as const;

export const angleSchema = z
  .number({ error: 'Give an angle in degrees from the seam.' })
  .min(0, 'An angle is 0 to 360°, counted from the seam.')
  .max(360, 'An angle is 0 to 360°, counted from the seam.');
