import * as z from 'zod';
import { designIdSchema } from '../design';
import { makeIdSchema, MOST_CUPS_A_MAKE, type MakeId } from '../make';
import { idText } from '../units';

export const orderIdSchema = idText('An order needs an id.').brand<'OrderId'>();
export type OrderId = z.infer<typeof orderIdSchema>;

/** How far an order has come. What is only asked for isn’t planned. */
export const orderStates = ['asked', 'taken', 'ready', 'handed over', 'given up'] as const;
export type OrderState = (typeof orderStates)[number];

export const MOST_CUPS_AN_ORDER = 500;

/** Cups that somebody waits for. */
export const orderSchema = z.strictObject({
  id: orderIdSchema,
  /** a nickname will do; empty where it is for the shop’s own table */
  who: z.string().trim().max(60, 'Keep it under 60 letters: a nickname will do.'),
  design: designIdSchema,
  /** the make it shall come out like; null where it is as the design is now */
  like: makeIdSchema.nullable().default(null),
  cups: z
    .int('Cups are whole.')
    .min(1, 'One cup at least.')
    .max(MOST_CUPS_AN_ORDER, `No more than ${MOST_CUPS_AN_ORDER} cups an order.`),
  /** by when, as the wall clock of the workshop has it; null where nobody waits */
  due: z
    .strictObject({
      day: z.iso.date('Write the date as 2026-12-05.'),
      time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time of day as 18:00.'),
    })
    .nullable(),
  /** agreed for all of it, in the workshop’s own money; null where none is */
  price: z
    .number('A price is a figure, as 42 or 42.50.')
    .min(0, 'A price can’t be less than nothing.')
    .max(1_000_000, 'Check the price.')
    .nullable(),
  state: z.enum(orderStates, { error: `An order is ${orderStates.join(', ')}.` }),
  note: z.string().max(500, 'Keep the note under 500 letters.').default(''),
  /** makes that were begun for it, the first first */
  makes: z.array(makeIdSchema).max(MOST_CUPS_AN_ORDER).default([]),
});
export type Order = z.infer<typeof orderSchema>;

/** Whether somebody still waits for it, so that it is planned. */
export const isOpen = ({ state }: Pick<Order, 'state'>): boolean => state === 'taken';

/** Cups of an order, parted into as many at once as there is room for. @param most cups that are laid at once */
export function batchesOf(cups: number, most: number): readonly number[] {
  const batches = Math.ceil(cups / Math.max(1, most));
  // As even as can be: 5 cups on 3 arms are 3 and 2, 4 cups on 3 arms are 2 and 2.
  return Array.from({ length: batches }, (_, at) => Math.floor(cups / batches) + (at < cups % batches ? 1 : 0));
}

/** How many cups are laid at once where so many turn: at least one is tried, so that it can be said what is missing. */
export const cupsAtATime = (arms: number): number => Math.min(MOST_CUPS_A_MAKE, Math.max(1, arms));

/** Cups of an order that are still to be begun. @param cupsOf of a make, its cups; none of one that was given up */
export const cupsToBegin = ({ cups, makes }: Pick<Order, 'cups' | 'makes'>, cupsOf: (make: MakeId) => number): number =>
  Math.max(0, cups - makes.reduce((sum, make) => sum + cupsOf(make), 0));

/** What the work on some cups of an order is called among the week's jobs, before they are begun and after. @param at the how manieth make, from 0 */
export const jobOfOrder = (order: OrderId, at: number): string => `${order}/${at}`;

/** Which cups of which order a job is, if it is an order's. */
export function orderOfJob(job: string): { readonly order: OrderId; readonly at: number } | null {
  const found = /^(.+)\/(\d+)$/.exec(job);
  return found ? { order: found[1] as OrderId, at: Number(found[2]) } : null;
}
