import { seenRoom, weekBookSchema, weekDataSchema, type WeekData } from '@aurantia/core/week';
import { orderSchema } from '@aurantia/core/order';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { asFile, asPage } from '../http/handed-over';
import type { Memory } from '../memory';

/** A zone that this machine knows. */
const zone = z
  .string()
  .max(60)
  .refine((name) => {
    try {
      return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
    } catch {
      // A name it doesn't know is told, as every other refusal is.
      return false;
    }
  }, 'There is no such time zone.');
const inZone = z.object({ zone });
const WEEK = 7 * 24 * 60 * 60_000;

/** The week: what there is to do and with what, as it was planned last; on paper, and as a calendar. */
export const weekRoutes: FastifyPluginAsyncZod<Memory> = async (app, { week, workshop, room, clock, aside }) => {
  async function dataFor(inThe: string): Promise<WeekData> {
    const now = clock.now();
    const { document: book, revision } = await week.kept();
    const { wakes, sleeps, celsius } = await workshop.settings();
    const { jobs, takes, troubles } = await aside.do('week', { now, zone: inThe, means: book.means });
    const seen = seenRoom(await room.between(now - WEEK, now), { wakes, sleeps }, inThe);
    return { now, book, revision, jobs, takes, troubles, room: { wakes, sleeps, celsius }, seen };
  }

  app.get('/', { schema: { querystring: inZone, response: { 200: weekDataSchema } } }, ({ query }) => dataFor(query.zone));

  // An order that isn't taken yet, as work: whether there is room for it is worked out where it is asked.
  app.post(
    '/jobs',
    {
      schema: {
        querystring: inZone,
        body: orderSchema,
        response: { 200: weekDataSchema.pick({ jobs: true, takes: true, troubles: true }) },
      },
    },
    async ({ query, body }) => {
      const { document: book } = await week.kept();
      return aside.do('week', { now: clock.now(), zone: query.zone, means: book.means, asks: body });
    },
  );

  app.put(
    '/',
    {
      schema: {
        body: z.strictObject({ parent: z.int().min(0), document: weekBookSchema }),
        response: { 200: z.object({ document: weekBookSchema, revision: z.int() }) },
      },
    },
    ({ body }) => week.keep(body.document, body.parent),
  );

  app.get(
    '/sheet.pdf',
    { schema: { querystring: inZone.extend({ day: z.iso.date('Write the date as 2026-11-30.') }) } },
    async ({ query }, reply) => {
      const data = await dataFor(query.zone);
      const { name, paper, units } = await workshop.settings();
      const pdf = await aside.do('daySheet', { data, zone: query.zone, day: query.day, workshop: name, paper, units });
      return reply
        .type('application/pdf')
        .header(...asPage(`day-${query.day}.pdf`))
        .send(Buffer.from(pdf));
    },
  );

  app.get(
    '/calendar.ics',
    { schema: { querystring: inZone.extend({ person: z.string().max(200).optional(), job: z.string().max(200).optional() }) } },
    async ({ query }, reply) => {
      const data = await dataFor(query.zone);
      const wish = { person: query.person ?? null, job: query.job ?? null };
      return reply
        .type('text/calendar; charset=utf-8')
        .header(...asFile('week.ics'))
        .send(await aside.do('calendar', { data, zone: query.zone, wish }));
    },
  );
};
