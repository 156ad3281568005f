import * as z from 'zod';
import { idText } from '../units';

const timeOfDay = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write a time of day as 07:00.');
const day = z.iso.date('Write the date as 2026-11-30.');

export const personIdSchema = idText('A person needs an id.').brand<'PersonId'>();
export type PersonId = z.infer<typeof personIdSchema>;

/** When hands work on a day of the week; null on a day off. */
const dayHours = z
  .strictObject({ from: timeOfDay, until: timeOfDay })
  .refine(({ from, until }) => from < until, {
    path: ['until'],
    message: 'A day ends after it began: nobody works past midnight.',
  })
  .nullable();

const personSchema = z.strictObject({
  id: personIdSchema,
  name: z.string().trim().min(1, 'Give these hands a name; a nickname will do.').max(40, 'Keep the name under 40 letters.'),
  /** Monday first */
  hours: z.tuple([dayHours, dayHours, dayHours, dayHours, dayHours, dayHours, dayHours]),
});
export type Person = z.infer<typeof personSchema>;

/** The most hands, arms and hooks of a workshop. */
const MOST = { people: 12, arms: 60, hooks: 200, spraying: 6 } as const;

/** What work is held by: hands with their hours, turner arms, where one sprays, hooks to dry on. */
export const meansSchema = z.strictObject({
  people: z.array(personSchema).min(1, 'Somebody has to lay the coats: name one person.').max(MOST.people),
  /** cups that turn at the same time */
  arms: z.int('Arms are whole.').min(0).max(MOST.arms, `No more than ${MOST.arms} turner arms.`),
  /** cups that are sprayed at the same time */
  spraying: z.int('Places are whole.').min(0).max(MOST.spraying, `No more than ${MOST.spraying} places to spray at.`),
  hooks: z.int('Hooks are whole.').min(0).max(MOST.hooks, `No more than ${MOST.hooks} hooks.`),
  /** °C of the room while everybody sleeps; null where it is as by day */
  nightCelsius: z.number().min(0, 'Below 0 °C nothing cures.').max(45, 'Over 45 °C is no workshop.').nullable(),
});
export type Means = z.infer<typeof meansSchema>;

/** Time that somebody, or everybody, isn't there for. */
export const blockSchema = z
  .strictObject({
    id: idText('A block needs an id.'),
    /** null where it is everybody */
    person: personIdSchema.nullable(),
    from: z.object({ day, time: timeOfDay }),
    until: z.object({ day, time: timeOfDay }),
    why: z.string().trim().max(80, 'Keep it under 80 letters.').default(''),
  })
  .refine(({ from, until }) => `${from.day} ${from.time}` < `${until.day} ${until.time}`, {
    path: ['until'],
    message: 'It ends after it begins.',
  });
export type Block = z.infer<typeof blockSchema>;

/** Where a piece of work stands in a kept plan: minutes since 1970. */
export const placedSchema = z.strictObject({
  job: z.string().min(1).max(120),
  work: z.string().min(1).max(120),
  at: z.int(),
  person: personIdSchema.nullable(),
});
export type Placed = z.infer<typeof placedSchema>;

/** What a workshop keeps of its week: its means, what isn't to be worked in, what is pinned, and the plan as it was worked out last. */
export const weekBookSchema = z.strictObject({
  means: meansSchema,
  blocks: z.array(blockSchema).max(500, 'No more than 500 blocks: take away those that are over.').default([]),
  pins: z.array(placedSchema).max(500, 'No more than 500 pins.').default([]),
  placed: z.array(placedSchema).max(20_000).default([]),
});
export type WeekBook = z.infer<typeof weekBookSchema>;

/** One person's hands while somebody is up, two arms, one place to spray, six hooks. */
export function usualMeans({ wakes, sleeps }: { readonly wakes: string; readonly sleeps: string }): Means {
  const hours = wakes < sleeps ? { from: wakes, until: sleeps } : { from: '07:00', until: '22:30' };
  return {
    people: [{ id: 'first' as PersonId, name: 'My hands', hours: [hours, hours, hours, hours, hours, hours, hours] }],
    arms: 2,
    spraying: 1,
    hooks: 6,
    nightCelsius: null,
  };
}
