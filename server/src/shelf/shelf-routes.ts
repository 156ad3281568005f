import { shelfItemSchema, type ShelfItemId } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';

const byId = z.object({ id: z.string().max(64) });

/** The shelf: glitters, inks, paints, resins and glues. */
export const shelfRoutes: FastifyPluginAsyncZod<Memory> = async (app, { shelf }) => {
  app.get('/', { schema: { response: { 200: z.array(shelfItemSchema) } } }, async () => [...(await shelf.all())]);

  app.put('/:id', { schema: { params: byId, body: shelfItemSchema, response: { 200: shelfItemSchema } } }, async (request) =>
    shelf.put({ ...request.body, id: request.params.id as ShelfItemId }),
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
