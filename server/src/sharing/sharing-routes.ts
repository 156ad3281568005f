import { sharingSchema, sharingWishSchema } from '@aurantia/core/sharing';
import { serialize } from 'cookie';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { ProblemError } from '../http/problem';
import { COOKIE } from './let-in';
import type { PairedStore } from './paired-store';
import type { SharingHere } from './sharing-here';

/** s: a year, and each pairing anew. */
const KEEPS = 365 * 24 * 3600;
/** More than any code has: longer text isn't even looked at. */
const MOST_TYPED = 40;

const here = { for: 'here' } as const;
const byId = z.object({ id: z.string().max(60) });

/** Sharing with devices on the network: switched, let in and taken away at this computer alone; a code is typed at the device. */
export const sharingRoutes: FastifyPluginAsyncZod<{ sharing: SharingHere; paired: PairedStore }> = async (
  app,
  { sharing, paired },
) => {
  const answer = { response: { 200: sharingSchema } };

  app.get('/', { config: here, schema: answer }, () => sharing.now());

  app.put('/', { config: here, schema: { ...answer, body: z.strictObject({ on: z.boolean() }) } }, async ({ body }) => {
    await sharing.turn(body.on);
    const now = await sharing.now();
    await paired.setShared(now.on);
    return now;
  });

  app.post('/code', { config: here, schema: { ...answer, body: sharingWishSchema } }, async ({ body }) => {
    const { on } = await sharing.now();
    if (!on) throw new ProblemError(409, 'Not shared', 'Switch sharing on first: a code is for devices on this network.');
    sharing.drawCode(body);
    return sharing.now();
  });

  app.delete('/code', { config: here, schema: answer }, () => {
    sharing.voidCode();
    return sharing.now();
  });

  app.delete('/paired/:id', { config: here, schema: { ...answer, params: byId } }, async ({ params }) => {
    await sharing.takeAway(params.id);
    return sharing.now();
  });

  app.post(
    '/pair',
    {
      config: { for: 'anyone' },
      bodyLimit: 1024,
      schema: { body: z.strictObject({ code: z.string().min(1, 'Type the code.').max(MOST_TYPED, 'That is no code.') }) },
    },
    async ({ body, asking }, reply) => {
      if (asking === 'here')
        throw new ProblemError(409, 'Here already', 'This is the workshop’s own computer: it needs no code.');
      const tried = await sharing.letIn(body.code);
      if ('shows' in tried) {
        const cookie = serialize(COOKIE, tried.shows, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: KEEPS });
        return reply.code(204).header('set-cookie', cookie).send();
      }
      const sentence =
        tried.left > 0
          ? `That isn’t the code on the workshop’s screen. ${tried.left === 1 ? 'One more try' : `${tried.left} more tries`}, then it is void.`
          : 'No code waits. Show a new one at the workshop’s own computer, under “A phone or tablet”.';
      throw new ProblemError(403, 'Not the code', sentence);
    },
  );
};
