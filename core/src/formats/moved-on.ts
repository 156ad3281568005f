import * as z from 'zod';

const standsAt = z.object({ id: z.string(), revision: z.int() });

/**
 * How far a workshop has come since a page looked at it last: another window, a device beside the cup or the bench may have
 * changed it meanwhile.
 */
export const movedOnSchema = z.object({
  /** which state it is in; to be said when one looks again */
  stamp: z.string(),
  /** null where nothing is another than it was at the stamp that was said, or none was */
  since: z
    .object({
      /** how often the settings were kept */
      settings: z.int(),
      /** all that stand there now; null where they are as they were */
      cups: z.array(standsAt).nullable(),
      shelf: z.array(standsAt).nullable(),
      /** what is left of items that were counted or used since, in the unit each is counted in; null for what nobody counts */
      left: z.array(z.object({ id: z.string(), left: z.number().nullable() })),
    })
    .nullable(),
});
export type MovedOn = z.infer<typeof movedOnSchema>;
