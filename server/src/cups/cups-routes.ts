import { cupSchema } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';
import { keptCupSchema } from './cups-store';

const byId = z.object({ id: z.string().max(64) });

/** The cups that were measured. */
export const cupsRoutes: FastifyPluginAsyncZod<Memory> = async (app, { cups }) => {
  app.get('/', { schema: { response: { 200: z.array(keptCupSchema) } } }, async () => [...(await cups.all())]);

  app.put('/:id', { schema: { params: byId, body: cupSchema, response: { 200: keptCupSchema } } }, async (request) =>
    cups.put(request.params.id, request.body),
  );

  app.delete('/:id', { schema: { params: byId } }, async (request, reply) => {
    await cups.setRemoved(request.params.id, true);
    return reply.code(204).send();
  });

  app.post('/:id/restore', { schema: { params: byId } }, async (request, reply) => {
    await cups.setRemoved(request.params.id, false);
    return reply.code(204).send();
  });
};
