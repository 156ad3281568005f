import * as z from 'zod';
import { coatIdSchema, designIdSchema, designSchema, NO_COATS, settingsSchema } from '../design';
import { hexSchema } from '../hex';
import { GLOVE_LOSS_SHARE } from '../resin';
import { shelfItemIdSchema, shelfItemSchema } from '../stock';
import { cupSchema } from '../vessel';
import { makeIdSchema } from './make-id';

/** The version of makes; and of the program whose numbers a make keeps. */
export const MAKE_VERSION = 1;
export const PROGRAM_VERSION = '0.1.0';
/** The most cups of one design that are made at once. */
export const MOST_CUPS_A_MAKE = 24;

const minutes = z.number().min(0);

/** What of a coat is measured out: each pour, part, drop and use by itself. */
const amountSchema = z.strictObject({
  /** `a`, `b`, or what it is and of which jar: stays the same for as long as the make is kept */
  key: z.string().min(1).max(200),
  name: z.string(),
  /** the area it is for, where there are several */
  where: z.string().nullable(),
  unit: z.enum(['ml', 'drop', 'scoop', 'sheet']),
  amount: z.number().min(0),
  /** g a ml of it weighs; null of what isn't weighed */
  gramsPerMl: z.number().positive().nullable(),
  /** the jar it comes from, and how much of what that jar is counted in one of it is */
  item: shelfItemIdSchema.nullable(),
  each: z.number().min(0),
});
export type MakeAmount = z.infer<typeof amountSchema>;

/** How a coat's resin becomes a film: what has to be known to say what another amount comes to. */
const mixSchema = z.strictObject({
  ratio: z.tuple([z.number().positive(), z.number().positive()]),
  ratioBy: z.enum(['volume', 'weight']),
  /** g/ml of either part */
  density: z.tuple([z.number().positive(), z.number().positive()]),
  /** cm² and mm, of one of the times it is mixed */
  area: z.number().min(0),
  thickness: z.number().min(0),
  /** ml that sink into the glitter, are held back for colour, and stay in pots */
  fill: z.number().min(0),
  held: z.number().min(0),
  kept: z.number().min(0),
  /** share that glove and stick take */
  glove: z.number().min(0).max(0.5).default(GLOVE_LOSS_SHARE),
  /** mixes alike, one after the other */
  times: z.int().min(1),
});
export type MakeMix = z.infer<typeof mixSchema>;

/** One coat as it is done at the bench, in numbers that stay. */
const stepSchema = z.strictObject({
  coat: coatIdSchema,
  kind: z.string(),
  title: z.string(),
  where: z.string(),
  does: z.string(),
  waitsFor: z.string(),
  needs: z.array(z.string()),
  cautions: z.array(z.string()),
  /** of whoever designed it */
  note: z.string(),
  /** what it takes, to read */
  lines: z.array(z.string()),
  amounts: z.array(amountSchema),
  mix: mixSchema.nullable(),
  /** glitter that goes into glue: of each area's, or pot's, pour the flakes deep and g as planned; null of every other coat, and where no one glue holds it */
  flakes: z
    .strictObject({
      glue: shelfItemIdSchema,
      pours: z.array(z.strictObject({ place: z.string().max(200), deep: z.number().min(0), grams: z.number().min(0) })),
    })
    .nullable()
    .default(null),
  /** minutes: to stir, to have it on the cup from the first stir, to look at it again; null where there is nothing to time */
  stir: minutes.nullable(),
  within: minutes.nullable(),
  look: minutes.nullable(),
  handsOn: minutes,
  wait: z.strictObject({ minutes, until: z.string(), closes: minutes.nullable() }),
  /** hex of what is seen of the largest place once it is on */
  shows: hexSchema,
});
export type MakeStep = z.infer<typeof stepSchema>;

/** A cup, or several alike, as they are made: design, workshop and plan as they were when it was begun. It never changes. */
export const makeSchema = z.strictObject({
  id: makeIdSchema,
  version: z.literal(MAKE_VERSION, {
    error: 'This make was written by a newer Aurantia. Open it with that one; here it stays as it is.',
  }),
  /** the program that worked its numbers out */
  program: z.string().max(40),
  /** the how manieth of its design */
  number: z.int().min(1),
  designId: designIdSchema,
  revision: z.int().min(1),
  design: designSchema,
  settings: settingsSchema,
  /** the jars that it is made with, as they were */
  shelf: z.array(shelfItemSchema),
  cups: z
    .int('Cups are whole.')
    .min(1, 'Make one at least.')
    .max(MOST_CUPS_A_MAKE, `More than ${MOST_CUPS_A_MAKE} cups at once no hands lay: make two batches.`),
  /** who or what it is for */
  label: z.string().max(60, 'Keep it under 60 letters.'),
  at: z.iso.datetime(),
  /** what makers wrote “for next time” at earlier makes of this design, and at which of them */
  notes: z.array(z.strictObject({ coat: coatIdSchema.nullable(), text: z.string(), number: z.int() })).default([]),
  steps: z.array(stepSchema).min(1, NO_COATS),
});
export type Make = z.infer<typeof makeSchema>;

/** What somebody says who wants a design made. */
export const makeWishSchema = z.strictObject({
  id: makeIdSchema,
  design: designIdSchema,
  cups: makeSchema.shape.cups.default(1),
  label: makeSchema.shape.label.default(''),
  /** where this one is another than the design's: it is refitted on it, edges by their share of the height */
  cup: cupSchema.optional(),
  /** the make that it shall come out like: its design as it was frozen then */
  like: makeIdSchema.optional(),
});
export type MakeWish = z.infer<typeof makeWishSchema>;
