import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance, FastifyReply } from 'fastify';

/**
 * Serves the built screens. The page itself gets a fresh nonce each time, which lets it, and
 * nothing else, add style sheets while it runs.
 */
export async function pages(app: FastifyInstance, { folder }: { folder: string }): Promise<void> {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  const send = (reply: FastifyReply) =>
    reply
      .type('text/html; charset=utf-8')
      .header('cache-control', 'no-store')
      .send(page.replaceAll('NONCE_OF_THIS_PAGE', reply.cspNonce.style));
  await app.register(fastifyStatic, {
    root: folder,
    wildcard: false,
    globIgnore: ['index.html'],
    index: false,
    maxAge: '1y',
    immutable: true,
  });
  // Only here: drawing nonces for every reply would make each save wait for them.
  const nonces = { helmet: { enableCSPNonces: true } };
  app.get('/', nonces, (_, reply) => send(reply));
  app.get('/index.html', nonces, (_, reply) => send(reply));
  for (const place of ['designs', 'shelf', 'cups', 'bench', 'log', 'learnt']) {
    app.get(`/${place}`, nonces, (_, reply) => send(reply));
    app.get(`/${place}/*`, nonces, (_, reply) => send(reply));
  }
}
