import {
  logEntrySchema,
  jarNeeds,
  jarNeedsSchema,
  makeFileOf,
  makeFileSchema,
  makeLinesSchema,
  makeLogCsv,
  makeSchema,
  makeWishSchema,
  repeatScore,
  repeatsSchema,
  roomOfMakeSchema,
  standingOf,
  type LogEntry,
  type Make,
  type Repeats,
} from '@aurantia/core/make';
import { fileNameOf, forSpreadsheets } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { streamEvents } from '../http/event-stream';
import { asFile, asPage } from '../http/handed-over';
import { byId } from '../http/id-param';
import type { Memory } from '../memory';
import { alsoAtTheBench } from '../sharing/audience';
import { shownTo } from './make-shown';

/** Checked as it was kept: to be sent it needn't be a second time. */
const asItIs = { serializerCompiler: () => (data: unknown) => JSON.stringify(data) };
const logged = z.object({ now: z.number(), make: makeSchema, entries: z.array(logEntrySchema) });
const heard = z.object({ devices: z.stringbool().default(false) });
const day = z.iso.date('Write the date as 2026-11-25.');
const listed = z.object({
  over: z.stringbool().default(false),
  /** words that design, label, jars, lots or the log have, each of them */
  words: z.string().max(200).default(''),
  /** begun on or after the one day and on or before the other */
  from: day.optional(),
  until: day.optional(),
});

const fileName = ({ design, number }: Make): string => `${fileNameOf(design.name, 'make')}-${number}`;

/** Makes: begin one, see how all stand, write to a log, and hear at once what another window wrote. */
export const makesRoutes: FastifyPluginAsyncZod<Memory> = async (
  app,
  { makes, makeChanges, clock, aside, photos, room, devices, shelf, workshop },
) => {
  const now = () => clock.now();
  const roomOf = (make: Make, entries: readonly LogEntry[]) => {
    const { opens, at } = standingOf(make, entries);
    const until = at === null ? Math.min(now(), opens ?? now()) : now();
    return room.between(Date.parse(entries.at(0)?.at ?? make.at), until);
  };

  app.get(
    '/',
    { config: alsoAtTheBench, schema: { querystring: listed, response: { 200: makeLinesSchema } } },
    async ({ query }) => ({
      now: now(),
      ...(await makes.lines(query, now())),
    }),
  );

  app.post('/', { ...asItIs, schema: { body: makeWishSchema, response: { 201: logged } } }, async ({ body }, reply) => {
    const number = await makes.nextNumber(body.design);
    const make = await aside.do('make', { wish: body, number, at: new Date(now()).toISOString() });
    const begun = await makes.begin(make);
    makeChanges.tell(make.id);
    return reply.code(201).send({ now: now(), make: begun.make, entries: [...begun.entries] });
  });

  // What the cups on the bench will take together, and what runs out first.
  app.get('/needs', { schema: { response: { 200: jarNeedsSchema } } }, async () => {
    const gone = (await shelf.gone()).map(({ document }) => document);
    return { needs: [...jarNeeds(await makes.needing(), await shelf.items(), gone)] };
  });

  app.get(
    '/:id',
    { ...asItIs, config: alsoAtTheBench, schema: { params: byId, response: { 200: logged } } },
    async ({ params, asking }) => {
      const { make, entries } = await makes.one(params.id);
      return { now: now(), make: shownTo(asking, make), entries: [...entries] };
    },
  );

  app.post(
    '/:id/entries',
    {
      ...asItIs,
      config: alsoAtTheBench,
      schema: {
        params: byId,
        body: z.strictObject({ after: z.int().min(0), entry: z.looseObject({ what: z.string() }) }),
        response: { 200: logged },
      },
    },
    async ({ params, body, asking }) => {
      // The moment is this clock's: a page's own may be off, or asleep.
      const entry = logEntrySchema.parse({ ...body.entry, at: new Date(now()).toISOString() });
      const { make, entries } = await makes.write(params.id, entry, body.after);
      makeChanges.tell(params.id);
      return { now: now(), make: shownTo(asking, make), entries: [...entries] };
    },
  );

  // What the room was like from the first touch on, for as long as the cup took.
  app.get(
    '/:id/room',
    { config: alsoAtTheBench, schema: { params: byId, response: { 200: roomOfMakeSchema } } },
    async ({ params }) => {
      const { make, entries } = await makes.one(params.id);
      return { room: [...(await roomOf(make, entries))] };
    },
  );

  // How near this make and the others of its design are to their recipes.
  app.get(
    '/:id/repeats',
    { config: alsoAtTheBench, schema: { params: byId, response: { 200: repeatsSchema } } },
    async ({ params }) => {
      const { units } = await workshop.settings();
      const { make: asked } = await makes.one(params.id);
      const repeats: Repeats = [];
      for (const id of await makes.ofDesign(asked.designId)) {
        const { make, entries } = await makes.one(id);
        const { score } = repeatScore(make, entries, await roomOf(make, entries), units) ?? { score: null };
        repeats.push({ id: make.id, number: make.number, at: make.at, score });
      }
      return { repeats };
    },
  );

  app.get('/:id/file', { ...asItIs, config: alsoAtTheBench, schema: { params: byId } }, async ({ params, asking }, reply) => {
    const { make, entries } = await makes.one(params.id);
    return reply
      .header(...asFile(`${fileName(make)}.make.json`))
      .type('application/json; charset=utf-8')
      .send(JSON.stringify(makeFileOf(shownTo(asking, make), entries)));
  });

  app.get('/:id/log.csv', { config: alsoAtTheBench, schema: { params: byId } }, async ({ params }, reply) => {
    const { make, entries } = await makes.one(params.id);
    return reply
      .header(...asFile(`${fileName(make)}.csv`))
      .type('text/csv; charset=utf-8')
      .send(forSpreadsheets(makeLogCsv(make, entries)));
  });

  app.get('/:id/sheet.pdf', { config: alsoAtTheBench, schema: { params: byId } }, async ({ params }, reply) => {
    const { make, entries } = await makes.one(params.id);
    const asked = { make, entries, room: await roomOf(make, entries), settings: await workshop.settings(), now: now() };
    const pdf = await aside.do('sheet', { ...asked, photos: await photos.pictures(make.id) });
    return reply
      .type('application/pdf')
      .header(...asPage(`${fileName(make)}.pdf`))
      .send(Buffer.from(pdf));
  });

  app.post('/import', { ...asItIs, schema: { body: makeFileSchema, response: { 201: logged } } }, async ({ body }, reply) => {
    const { make, entries } = await makes.bringIn(body.make, body.entries);
    makeChanges.tell(make.id);
    return reply.code(201).send({ now: now(), make, entries: [...entries] });
  });

  // One stream for all that a bench hears of: a browser keeps few lines to one address open, whatever its windows.
  app.get('/changes', { config: alsoAtTheBench, schema: { hide: true, querystring: heard } }, (request, reply) => {
    streamEvents(request, reply, (send) => {
      const ends = [makeChanges.listen((id) => send({ make: id }))];
      if (request.query.devices) {
        send({ devices: devices.all });
        ends.push(devices.listen((all) => send({ devices: all })));
      }
      return () => ends.forEach((end) => end());
    });
  });
};
