import * as z from 'zod';
import { areaIdSchema } from '../areas';
import { coatIdSchema } from './coat';

/** Something the check speaks up about that the maker means so, and why. */
export const exceptionSchema = z.strictObject({
  rule: z.string().trim().min(1).max(80),
  /** what it was about when it was left so */
  coat: coatIdSchema.nullable(),
  area: areaIdSchema.nullable(),
  reason: z
    .string()
    .trim()
    .min(1, 'Say why it is right here: the card tells whoever makes the cup.')
    .max(200, 'Keep the reason under 200 letters.'),
});
export type Exception = z.infer<typeof exceptionSchema>;
