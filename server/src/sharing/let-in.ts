import { parse } from 'cookie';
import type { FastifyInstance } from 'fastify';
import { sendProblem } from '../http/problem';
import { mayAsk } from './audience';
import type { Outside } from './outside';
import type { PairedStore } from './paired-store';

export const COOKIE = 'aurantia-paired';

/** Says of each request who asks, and refuses what isn't for them. What comes from this computer itself goes on as ever. */
export function letIn(app: FastifyInstance, outside: Outside, paired: PairedStore): void {
  app.decorateRequest('asking', 'here');
  app.addHook('onRequest', async (request, reply) => {
    if (!outside.came(request.raw)) return undefined;
    const shown = parse(request.headers.cookie ?? '')[COOKIE];
    const device = shown === undefined ? null : await paired.known(shown);
    request.asking = device?.sees ?? 'stranger';
    if (device) outside.ofDevice(device.id, request.raw);
    if (mayAsk(request.asking, request.routeOptions.config.for)) return undefined;
    if (device)
      return sendProblem(
        reply,
        403,
        'Not for this device',
        'This device was let in to the bench alone. Do this at the workshop’s own computer, or let the device in to all of it there.',
      );
    const page = request.method === 'GET' && (request.headers.accept ?? '').includes('text/html');
    if (page) return reply.redirect('/pair');
    return sendProblem(
      reply,
      401,
      'Not let in',
      'This device isn’t let in, or isn’t any more. Show a code at the workshop’s own computer (“A phone or tablet”), and type it here at /pair. What was kept is safe.',
    );
  });
}
