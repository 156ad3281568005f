import { ledgerEntrySchema, movementSchema, shelfItemSchema, whySchema, type ShelfItemId } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { byId } from '../http/id-param';
import type { Memory } from '../memory';
import { keptSchema, savedSchema } from '../store/kept';

const kept = keptSchema(shelfItemSchema);
const saved = savedSchema(shelfItemSchema);
const withWhy = z.object({ why: whySchema.default('counted anew') });

/** The shelf: glitters, inks, paints, resins and glues. What is left of one changes by movements alone. */
export const shelfRoutes: FastifyPluginAsyncZod<Memory> = async (app, { shelf }) => {
  app.get('/', async (_, reply) => reply.type('application/json; charset=utf-8').send(await shelf.allAsText()));

  app.get('/gone', { schema: { response: { 200: z.array(kept) } } }, async () => [...(await shelf.gone())]);

  app.put(
    '/:id',
    { schema: { params: byId, querystring: withWhy, body: saved, response: { 200: kept } } },
    async ({ params, body, query }) => {
      const document = { ...body.document, id: params.id as ShelfItemId };
      const [item] = await shelf.put([{ document, parent: body.parent }], query.why);
      return item;
    },
  );

  app.post('/:id/movements', { schema: { params: byId, body: movementSchema, response: { 200: kept } } }, ({ params, body }) =>
    shelf.move(params.id, body),
  );

  // A table of items comes in whole or not at all; what its rows count is counted anew.
  app.post('/many', { schema: { body: z.array(saved).min(1).max(2000), response: { 200: z.array(kept) } } }, async ({ body }) => [
    ...(await shelf.bringIn(body, 'from a file')),
  ]);

  app.get('/:id/ledger', { schema: { params: byId, response: { 200: z.array(ledgerEntrySchema) } } }, ({ params }) =>
    shelf.ledger(params.id),
  );

  app.delete('/:id', { schema: { params: byId } }, async ({ params }, reply) => {
    await shelf.setRemoved(params.id, true);
    return reply.code(204).send();
  });

  app.post('/:id/restore', { schema: { params: byId, response: { 200: kept } } }, async ({ params }) => {
    await shelf.setRemoved(params.id, false);
    return shelf.one(params.id);
  });
};
