import helmet from '@fastify/helmet';
import type { FastifyInstance } from 'fastify';
import type { Outside } from '../sharing/outside';
import { sendProblem } from './problem';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]']);

/**
 * Keeps other pages and other machines out: the Host must be this computer by a loopback name (a
 * page elsewhere can't fake that by re-pointing its own name), and a change must come from our own
 * pages. What comes over the network, where that is shared, must call this computer by one of its
 * addresses there. Headers let the pages load nothing from anywhere else.
 */
export async function guard(app: FastifyInstance, outside: Outside): Promise<void> {
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
    const host = request.headers.host ?? '';
    const [, name = '', port = ''] = /^(.*?)(?::(\d+))?$/.exec(host) ?? [];
    const shared = outside.came(request.raw);
    if (shared ? !outside.names.includes(host) : !LOOPBACK.has(name)) {
      return sendProblem(
        reply,
        421,
        'Wrong address',
        shared
          ? 'Open Aurantia at the address that the workshop’s own computer shows under “A phone or tablet”.'
          : 'Aurantia answers only on this computer. Open it at the address it printed.',
      );
    }
    const { origin } = request.headers;
    const own = shared ? [`http://${host}`] : [...LOOPBACK].map((loopback) => `http://${loopback}:${port}`);
    const site = request.headers['sec-fetch-site'];
    const foreign = (origin !== undefined && !own.includes(origin)) || site === 'cross-site' || site === 'same-site';
    if (foreign && request.method !== 'GET' && request.method !== 'HEAD') {
      return sendProblem(reply, 403, 'Not from here', 'Only Aurantia’s own pages may change the workshop.');
    }
    return undefined;
  });
}
