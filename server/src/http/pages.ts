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

/** What the screens are built of, by its name; the page itself isn't sent as it lies there. */
const FILE = String.raw`^[\w-]+\.(?:js|css|svg|woff2)$`;

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
  await app.register(fastifyStatic, {
    root: folder,
    // Files are looked for when they are asked for: a route for each, twice, took a tenth of a second of every start.
    serve: false,
    // Packed when they were built; a phone asks for them over the air.
    preCompressed: true,
    setHeaders: (reply) => reply.setHeader('vary', 'accept-encoding'),
    maxAge: '1y',
    immutable: true,
  });
  // The program's own files hold nothing of the workshop: whoever types a code needs them.
  for (const within of ['', 'media/'])
    app.get<{ Params: { file: string } }>(
      `/${within}:file(${FILE})`,
      { config: { for: 'anyone' }, schema: { hide: true } },
      (request, reply) => reply.sendFile(within + request.params.file),
    );
  for (const [place, audience] of Object.entries(places)) {
    // Only here: drawing nonces for every reply would make each save wait for them.
    const page = { helmet: { enableCSPNonces: true }, config: { for: audience } };
    app.get(`/${place}`, page, (_, reply) => send(reply));
    if (place !== '') app.get(`/${place}/*`, page, (_, reply) => send(reply));
  }
}
