import * as z from 'zod';
import { coatIdSchema } from './coat';

/** What a design is to practise on: mistakes to find, or coats to put in order. Absent on all that are made in earnest. */
export const practiceSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('mistakes'),
    /** rules of the check that speak up until the mistake is put right */
    rules: z.array(z.string().min(1).max(80)).min(1).max(12),
  }),
  z.strictObject({
    kind: z.literal('order'),
    /** the coats as they belong */
    order: z.array(coatIdSchema).min(2).max(60),
  }),
]);
export type Practice = z.infer<typeof practiceSchema>;
