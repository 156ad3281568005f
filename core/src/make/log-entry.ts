import * as z from 'zod';
import { coatIdSchema } from '../design';
import { idText } from '../units';

const shared = { id: idText('An entry needs an id.'), at: z.iso.datetime() };
const of = { ...shared, coat: coatIdSchema };
const why = z.string().trim().min(1, 'Say why, in a word.').max(200, 'Keep it under 200 letters.');
const text = z.string().trim().min(1, 'Write something first.').max(1000, 'Keep a note under 1,000 letters.');
/** g */
const weight = z
  .number()
  .min(0, 'A scale below nothing isn’t at nought: tare it, then weigh again.')
  .max(20_000, 'That is more than a scale for cups weighs.');
/** by what is measured, what it really was */
const pouredAmount = z.number().min(0, 'Nothing less than nothing goes on a cup.').max(10000, 'That is more than any cup takes.');
const poured = z.record(z.string().min(1).max(200), pouredAmount);

/** Why no log takes an amount as poured, as a sentence; null where it does. */
export const whyNotPoured = (amount: number): string | null => pouredAmount.safeParse(amount).error?.issues[0].message ?? null;

export const mishaps = ['spilt', 'over-poured', 'too much glitter', 'too late', 'too early', 'jar missing', 'other'] as const;
export type Mishap = (typeof mishaps)[number];

/* `took`: of each jar, what the shelf's count went down by; the workshop's memory says it, whatever a page does. */

/** What happened at the bench, in the order it did; nothing is ever taken out of a log, `undone` says what doesn't count. */
export const logEntrySchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('begun'), ...of }),
  z.strictObject({ what: z.literal('done'), ...of, poured: poured.default({}), took: poured.default({}) }),
  z.strictObject({ what: z.literal('skipped'), ...of, why }),
  z.strictObject({ what: z.literal('undone'), ...of }),
  /** `next`: it comes back at this coat the next time the design is made */
  z.strictObject({ what: z.literal('note'), ...shared, coat: coatIdSchema.nullable(), text, next: z.boolean().default(false) }),
  z.strictObject({ what: z.literal('mishap'), ...of, kind: z.enum(mishaps), says: text, answer: z.string().max(1000) }),
  /** g: of the cup before and after, of what stayed in the pot, of so many drops of a jar; by what is weighed */
  z.strictObject({
    what: z.literal('weighed'),
    ...of,
    cup: z.strictObject({ before: weight, after: weight }).optional(),
    pot: weight.optional(),
    drops: z.strictObject({ key: z.string().min(1).max(200), count: z.int().min(1).max(5000), grams: weight }).optional(),
  }),
  /**
   * What was caught under a place of a coat of glitter, ml, and kept: `into` is what the jar is called, `jar` which it is and `gave`
   * what its count went up by; the workshop's memory says them.
   */
  z.strictObject({
    what: z.literal('kept'),
    ...of,
    place: z.string().min(1).max(200),
    ml: z.number().positive('Type how much it was.').max(10000, 'That is more than any cup takes.'),
    into: z.string().max(80).default(''),
    jar: z.string().max(200).default(''),
    gave: z.number().min(0).default(0),
  }),
  /** a nail leaves no mark in it any more; °C it had meanwhile */
  z.strictObject({ what: z.literal('set'), ...of, celsius: z.number().min(-20).max(60) }),
  z.strictObject({ what: z.literal('given up'), ...shared, why }),
  z.strictObject({ what: z.literal('taken up'), ...shared }),
]);
export type LogEntry = z.infer<typeof logEntrySchema>;
export type LogEntryOf<What extends LogEntry['what']> = Extract<LogEntry, { what: What }>;

/** An entry as a page sends it: the moment is the workshop's own clock's. */
export type LogWish = LogEntry extends infer One ? (One extends LogEntry ? Omit<One, 'at'> : never) : never;
