import * as z from 'zod';

/** What all makes on the bench will take of a jar, beside what there is. */
export const jarNeedSchema = z.strictObject({
  item: z.string(),
  name: z.string(),
  /** ml, or sheets */
  counted: z.string(),
  /** null where nobody keeps count */
  left: z.number().nullable(),
  takes: z.number(),
  /** so much isn't there; 0 where it is, or nobody keeps count */
  short: z.number(),
  /** how many full ones to buy; null where it isn't known what one holds, or none has to be */
  jars: z.int().nullable(),
  by: z.array(z.string()),
  /** at which coat of which make it runs out, and when that is due, ms since 1970; null where it doesn't */
  out: z.strictObject({ at: z.string(), due: z.number() }).nullable(),
});
export type JarNeed = z.infer<typeof jarNeedSchema>;
export const jarNeedsSchema = z.object({ needs: z.array(jarNeedSchema) });
