import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { keptSchema, savedSchema } from '../store/kept';
import type { KeptDocuments } from '../store/kept-documents';
import { byId } from './id-param';

/** The routes that all kept documents have: list, keep onto a named revision, take away, see what is gone, bring back. */
export function keptRoutes<Document>(app: FastifyInstance, store: KeptDocuments<Document>, schema: z.ZodType<Document>): void {
  const typed = app.withTypeProvider<ZodTypeProvider>();
  const kept = keptSchema(z.unknown());
  const list = { schema: { response: { 200: z.array(kept) } } };
  typed.get('/', async (_, reply) => reply.type('application/json; charset=utf-8').send(await store.allAsText()));
  typed.get('/gone', list, async () => [...(await store.gone())]);
  typed.put('/:id', { schema: { params: byId, body: savedSchema(schema), response: { 200: kept } } }, ({ params, body }) =>
    store.put(params.id, body.document, body.parent),
  );
  typed.delete('/:id', { schema: { params: byId } }, async ({ params }, reply) => {
    await store.setRemoved(params.id, true);
    return reply.code(204).send();
  });
  typed.post('/:id/restore', { schema: { params: byId, response: { 200: kept } } }, async ({ params }) => {
    await store.setRemoved(params.id, false);
    return store.one(params.id);
  });
}
