import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import {
  designDocumentSchema,
  designLevels,
  designMarksSchema,
  designOrders,
  designPageSchema,
  designFileDocumentSchema,
  designFileOf,
  designFileSchema,
  designSchema,
  fileNameOf,
  historySchema,
  MOST_A_PAGE,
  tagSchema,
  tagsSchema,
  type DesignId,
} from '@aurantia/core';
import * as z from 'zod';
import { asFile } from '../http/handed-over';
import { byId } from '../http/id-param';
import type { Memory } from '../memory';

const kept = z.object({ document: designDocumentSchema, revision: z.int(), keptAt: z.string() });
/** What is sent is of this version; only what comes in may be older. */
const designFileReplySchema = z.object({ ...designFileDocumentSchema.shape, design: designDocumentSchema });
/** A document was checked as it came in, or was read; to be sent it needn't be a second time, and a save is waited for. */
const asItIs = { serializerCompiler: () => (data: unknown) => JSON.stringify(data) };
const stretch = z.object({
  from: z.coerce.number().int().min(0).default(0),
  limit: z.coerce.number().int().min(1).max(MOST_A_PAGE).default(30),
});
const moment = z.iso.datetime().nullable().default(null);
const listed = stretch.extend({
  search: z.string().max(200).default(''),
  tag: tagSchema.nullable().default(null),
  level: z.enum(designLevels).nullable().default(null),
  since: moment,
  before: moment,
  archived: z.stringbool().default(false),
  order: z.enum(designOrders).default('newest'),
});
const paintedFrom = z.object({ at: z.string().max(100).default('') });
const revisionNumber = z.coerce.number().int().min(1).max(1e9);

/** Designs: list, open, save onto a named revision, remove and bring back, files in and out. */
export const designsRoutes: FastifyPluginAsyncZod<Memory> = async (
  app,
  { designs, marks, summaries, shelf, workshop, aside, together },
) => {
  const list = { querystring: listed, response: { 200: designPageSchema } };
  app.get('/', { schema: list }, ({ query }) => summaries.page({ ...query, removed: false }));

  app.get('/removed', { schema: list }, ({ query }) => summaries.page({ ...query, removed: true }));

  app.get('/tags', { schema: { response: { 200: tagsSchema } } }, async () => [...(await marks.tags())]);

  app.put('/:id/marks', { schema: { params: byId, body: designMarksSchema, response: { 200: designMarksSchema } } }, (request) =>
    marks.set(request.params.id, request.body),
  );

  // Its address names what it was painted from, so it never changes; one painted anew meanwhile mustn't be kept under it.
  app.get('/:id/picture.webp', { schema: { params: byId, querystring: paintedFrom } }, async ({ params, query }, reply) => {
    const { picture, painted } = await summaries.picture(params.id);
    return reply
      .type('image/webp')
      .header('cache-control', query.at === painted ? 'private, max-age=31536000, immutable' : 'no-store')
      .send(Buffer.from(picture));
  });

  app.post('/', { schema: { body: designSchema, response: { 201: kept } } }, async (request, reply) =>
    reply.code(201).send(await designs.create(request.body)),
  );

  app.get('/:id', { ...asItIs, schema: { params: byId, response: { 200: kept } } }, async (request) =>
    designs.newest(request.params.id),
  );

  app.put(
    '/:id',
    {
      ...asItIs,
      schema: { params: byId, body: z.strictObject({ parent: z.int().min(1), document: designSchema }), response: { 200: kept } },
    },
    async ({ params, body }) => {
      const saved = await designs.save({ ...body.document, id: params.id as DesignId }, body.parent);
      summaries.saved(params.id);
      return saved;
    },
  );

  app.delete('/:id', { schema: { params: byId } }, async (request, reply) => {
    await designs.setRemoved(request.params.id, true);
    return reply.code(204).send();
  });

  app.post('/:id/restore', { schema: { params: byId, response: { 200: kept } } }, async (request) => {
    await designs.setRemoved(request.params.id, false);
    return designs.newest(request.params.id);
  });

  app.get(
    '/:id/history',
    { schema: { params: byId, querystring: stretch, response: { 200: historySchema } } },
    ({ params, query }) => aside.do('history', { id: params.id, ...query }),
  );

  app.get(
    '/:id/revisions/:number',
    { schema: { params: byId.extend({ number: revisionNumber }), response: { 200: kept } } },
    async (request) => designs.revision(request.params.id, request.params.number),
  );

  app.get('/:id/file', { schema: { params: byId, response: { 200: designFileReplySchema } } }, async (request, reply) => {
    const { document } = await designs.newest(request.params.id);
    // A jar that was taken off the shelf goes along: without it the file couldn't be read again.
    const jars = [...(await shelf.all()), ...(await shelf.gone())].map((kept) => kept.document);
    const file = designFileOf(document, { settings: await workshop.settings(), shelf: jars });
    return reply.header(...asFile(`${fileNameOf(document.name, 'design')}.aurantia.json`)).send(file);
  });

  // A file from elsewhere never replaces anything: jars that are already here stay, and a design that
  // is already here comes in as a copy. It comes in whole or not at all.
  app.post('/import', { schema: { body: designFileSchema, response: { 201: kept } } }, async ({ body }, reply) => {
    const brought = await together(async (memory) => {
      await memory.shelf.addMissing(body.shelf);
      return memory.designs.bringIn(body.design);
    });
    return reply.code(201).send(brought);
  });
};
