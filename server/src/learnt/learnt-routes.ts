import { learntSchema, saidSchema } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';

/** Ids of these hold a slash, which travels as %2F. */
const byId = z.object({ id: z.string().min(1).max(300) });
const said = z.strictObject({ said: saidSchema });

/** What weighings taught: see it, say what a wild one was, begin anew. */
export const learntRoutes: FastifyPluginAsyncZod<Memory> = async (app, { learnt, makeChanges }) => {
  const all = async () => ({ learnt: [...(await learnt.all())] });

  app.get('/', { schema: { response: { 200: learntSchema } } }, all);

  app.post(
    '/readings/:id',
    { schema: { params: byId, body: said, response: { 200: learntSchema } } },
    async ({ params, body }) => {
      await learnt.say(params.id, body.said);
      makeChanges.tell('');
      return all();
    },
  );

  app.post('/:id/forget', { schema: { params: byId, response: { 200: learntSchema } } }, async ({ params }) => {
    await learnt.forget(params.id);
    makeChanges.tell('');
    return all();
  });
};
