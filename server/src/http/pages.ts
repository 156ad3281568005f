import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance, FastifyReply } from 'fastify';
import type { Audience } from '../sharing/audience';

/** Where the screens begin, and for whom. */
const places: Readonly<Record<string, Audience>> = {
  '': 'bench',
  'index.html': 'bench',
  bench: 'bench',
  log: 'bench',
  designs: 'all',
  shelf: 'all',
  cups: 'all',
  week: 'all',
  learnt: 'all',
  pair: 'anyone',
};

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
      .send(page.replaceAll('NONCE_OF_THIS_PAGE', reply.cspNonce.style).replaceAll('ASKING_OF_THIS_PAGE', reply.request.asking));
  // The program's own files hold nothing of the workshop: whoever types a code needs them.
  await app.register(async (files) => {
    files.addHook('onRoute', (route) => {
      route.config = { ...route.config, for: 'anyone' };
    });
    await files.register(fastifyStatic, {
      root: folder,
      wildcard: false,
      globIgnore: ['index.html', '*.gz'],
      // Packed when they were built; a phone asks for them over the air.
      preCompressed: true,
      setHeaders: (reply) => reply.setHeader('vary', 'accept-encoding'),
      index: false,
      maxAge: '1y',
      immutable: true,
    });
  });
  for (const [place, audience] of Object.entries(places)) {
    // Only here: drawing nonces for every reply would make each save wait for them.
    const page = { helmet: { enableCSPNonces: true }, config: { for: audience } };
    app.get(`/${place}`, page, (_, reply) => send(reply));
    if (place !== '') app.get(`/${place}/*`, page, (_, reply) => send(reply));
  }
}
