import { ledgerEntrySchema, shelfItemSchema, whySchema, type ShelfItemId } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';

const byId = z.object({ id: z.string().max(64) });
const withWhy = z.object({ why: whySchema.default('counted anew') });

/** The shelf: glitters, inks, paints, resins and glues. */
export const shelfRoutes: FastifyPluginAsyncZod<Memory> = async (app, { shelf }) => {
  app.get('/', { schema: { response: { 200: z.array(shelfItemSchema) } } }, async () => [...(await shelf.all())]);

  app.get('/gone', { schema: { response: { 200: z.array(shelfItemSchema) } } }, async () => shelf.gone());

  app.put(
    '/:id',
    { schema: { params: byId, querystring: withWhy, body: shelfItemSchema, response: { 200: shelfItemSchema } } },
    async (request) => {
      const item = { ...request.body, id: request.params.id as ShelfItemId };
      await shelf.put([item], request.query.why);
      return item;
    },
  );

  // A table of items comes in whole or not at all.
  app.post('/many', { schema: { body: z.array(shelfItemSchema).min(1).max(2000) } }, async (request, reply) => {
    await shelf.put(request.body, 'from a file');
    return reply.code(204).send();
  });

  app.get('/:id/ledger', { schema: { params: byId, response: { 200: z.array(ledgerEntrySchema) } } }, async (request) =>
    shelf.ledger(request.params.id),
  );

  app.delete('/:id', { schema: { params: byId } }, async (request, reply) => {
    await shelf.setRemoved(request.params.id, true);
    return reply.code(204).send();
  });

  app.post('/:id/restore', { schema: { params: byId } }, async (request, reply) => {
    await shelf.setRemoved(request.params.id, false);
    return reply.code(204).send();
  });
};
