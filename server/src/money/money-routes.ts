import { moneyWaysSchema } from '@aurantia/core/money';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';

const kept = z.object({
  document: moneyWaysSchema,
  revision: z.int(),
  /** cups of the logbook that came out, and that were given up */
  log: z.object({ made: z.number(), failed: z.number() }),
});

/** How the workshop counts its money, with what the logbook has to say of rejects. */
export const moneyRoutes: FastifyPluginAsyncZod<Memory> = async (app, { money }) => {
  app.get('/', { schema: { response: { 200: kept } } }, async () => ({ ...(await money.kept()), log: await money.cupsMade() }));

  app.put(
    '/',
    { schema: { body: z.strictObject({ parent: z.int().min(0), document: moneyWaysSchema }), response: { 200: kept } } },
    async ({ body }) => ({ ...(await money.keep(body.document, body.parent)), log: await money.cupsMade() }),
  );
};
