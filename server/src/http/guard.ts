import helmet from '@fastify/helmet';
import type { FastifyInstance } from 'fastify';
import { sendProblem } from './problem';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Keeps other pages and other machines out: the Host must be this computer by a loopback name (a
 * page elsewhere can't fake that by re-pointing its own name), and a change must come from our own
 * pages. Headers let the pages load nothing from anywhere else.
 */
export async function guard(app: FastifyInstance): Promise<void> {
  await app.register(helmet, {
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'self'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
  app.addHook('onRequest', async (request, reply) => {
    const [, name = '', port = ''] = /^(.*?)(?::(\d+))?$/.exec(request.headers.host ?? '') ?? [];
    if (!LOOPBACK.has(name)) {
      return sendProblem(
        reply,
        421,
        'Wrong address',
        'Aurantia answers only on this computer. Open it at the address it printed.',
      );
    }
    const { origin } = request.headers;
    const own = [...LOOPBACK].map((loopback) => `http://${loopback}:${port}`);
    const site = request.headers['sec-fetch-site'];
    const foreign = (origin !== undefined && !own.includes(origin)) || site === 'cross-site' || site === 'same-site';
    if (foreign && request.method !== 'GET' && request.method !== 'HEAD') {
      return sendProblem(reply, 403, 'Not from here', 'Only Aurantia’s own pages may change the workshop.');
    }
    return undefined;
  });
}
