import * as z from 'zod';

/** How far a design is, as its line on the shelf says it. */
export const designLevels = ['clean', 'look', 'stop', 'open'] as const;

/** A word of the maker's own to keep designs in order by. */
export const tagSchema = z
  .string()
  .trim()
  .min(1, 'A tag has a letter at least.')
  .max(30, 'A tag has at most 30 letters.')
  .refine((tag) => !/[\p{Cc}\p{Cs}]/u.test(tag), 'A tag is made of whole letters.');

/** How a design is kept among others: nothing of how it is made. */
export const designMarksSchema = z.strictObject({
  tags: z.array(tagSchema).max(12, 'Twelve tags are the most.'),
  /** done with: it stands aside, whole */
  archived: z.boolean(),
});
export type DesignMarks = z.infer<typeof designMarksSchema>;

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
  tags: z.array(z.string()),
  archived: z.boolean(),
  /** when it was removed; null while it is here */
  removedAt: z.string().nullable(),
});
export type DesignSummary = z.infer<typeof designSummarySchema>;

/** How the list of designs stands: by tag a design stands under each of its own, what has none last. */
export const designOrders = ['newest', 'name', 'tag'] as const;

/** A stretch of the list of designs, in the order asked for; by tag, with how many stand under each. */
export const designPageSchema = z.object({
  total: z.int(),
  designs: z.array(designSummarySchema),
  groups: z.array(z.object({ tag: z.string().nullable(), count: z.int() })),
});

/** The tags in use, each with how many designs have it. */
export const tagsSchema = z.array(z.object({ tag: z.string(), count: z.int() }));
export type TagCount = z.infer<typeof tagsSchema>[number];
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
