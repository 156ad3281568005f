import * as z from 'zod';

/** How far a design is, as its line on the shelf says it. */
export const designLevels = ['clean', 'look', 'stop', 'open'] as const;

/** A design as it stands on the shelf among others: enough to be known again, and no more. */
export const designSummarySchema = z.object({
  id: z.string(),
  name: z.string(),
  /** the cup's name */
  cup: z.string(),
  revision: z.int(),
  keptAt: z.string(),
  /** null until it was worked out for the first time, or where it can't be */
  line: z.string().nullable(),
  level: z.enum(designLevels).nullable(),
  /** its picture: where it is, and how large at 1 css pixel a mm */
  picture: z.object({ src: z.string(), width: z.number(), height: z.number() }).nullable(),
  /** whether line and picture are those of this revision and of the shelf as it is now */
  fresh: z.boolean(),
});
export type DesignSummary = z.infer<typeof designSummarySchema>;

/** A stretch of the list of designs, newest first. */
export const designPageSchema = z.object({ total: z.int(), designs: z.array(designSummarySchema) });
export type DesignPage = z.infer<typeof designPageSchema>;

/** Some of the revisions of a design that stayed, newest first. */
export const historySchema = z.object({
  revisions: z.array(
    z.object({
      revision: z.int(),
      keptAt: z.string(),
      /** what changed since the one before, in sentences: none of the first; null where it can’t be read */
      changes: z.array(z.string()).nullable(),
    }),
  ),
  /** whether there are older ones */
  more: z.boolean(),
});
export type History = z.infer<typeof historySchema>;

/** The most designs one page of the list has. */
export const MOST_A_PAGE = 100;
