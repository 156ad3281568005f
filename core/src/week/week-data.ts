import * as z from 'zod';
import type { WeekWish } from './ground';
import { weekBookSchema } from './means';
import type { Zone } from './working-hours';

const minute = z.number();
const ofBoth = z.tuple([z.number(), z.number()]).readonly();
const workSchema = z.object({
  key: z.string(),
  titles: z.array(z.string()).readonly(),
  hands: z.number(),
  wait: z.number(),
  within: z.number().nullable(),
  cures: z.boolean(),
  sprays: z.number(),
  turns: z.number(),
  turning: z.number(),
  hangs: z.number(),
  mix: z
    .object({ resin: z.string(), name: z.string(), ml: ofBoth, gramsPerMl: ofBoth, pots: z.int(), lasts: z.number() })
    .nullable(),
});

/** A job as it is sent. */
export const jobSchema = z.object({
  id: z.string(),
  name: z.string(),
  who: z.string(),
  cups: z.int(),
  due: minute.nullable(),
  from: minute,
  before: minute.nullable(),
  works: z.array(workSchema).readonly(),
  after: z.object({ work: workSchema, laid: minute }).nullable(),
  begun: z.object({ at: minute, person: z.string().nullable() }).nullable(),
});

export const jobTakeSchema = z.object({
  job: z.string(),
  coat: z.string(),
  title: z.string(),
  item: z.string(),
  amount: z.number(),
});

/** Everything a week is planned from, as it is sent: the book with its revision, and the jobs there are. */
export const weekDataSchema = z.object({
  /** ms since 1970, by the workshop's clock */
  now: z.number(),
  book: weekBookSchema,
  /** 0 while nothing was kept yet */
  revision: z.int(),
  jobs: z.array(jobSchema),
  takes: z.array(jobTakeSchema),
  /** orders that can't become jobs, each with a sentence */
  troubles: z.array(z.object({ order: z.string(), name: z.string(), says: z.string() })),
  room: z.object({ wakes: z.string(), sleeps: z.string(), celsius: z.number() }),
  /** °C as the sensor saw it by day and by night; null where it saw too little */
  seen: z.object({ day: z.number(), night: z.number() }).nullable(),
});
export type WeekData = z.infer<typeof weekDataSchema>;

/** What a week is planned from. @param now ms since 1970, where it is later than when it was asked for */
export const wishOf = ({ now: asked, book, jobs, room }: WeekData, zone: Zone, now = asked): WeekWish => ({
  now: Math.ceil(Math.max(asked, now) / 60_000),
  zone,
  jobs,
  means: book.means,
  blocks: book.blocks,
  pins: book.pins,
  room,
});
