import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import type { Memory } from '../memory';

/** Minutes; a year either way. */
const minutes = z.number().min(-525_600).max(525_600);

/** A clock that can be moved on, for rehearsing what takes days; there only where the program was started so. */
export const clockRoutes: FastifyPluginAsyncZod<Memory> = async (app, { clock, makeChanges }) => {
  app.post(
    '/',
    {
      config: { for: 'here' },
      schema: { body: z.strictObject({ on: minutes }), response: { 200: z.object({ now: z.number() }) } },
    },
    async ({ body }) => {
      clock.move(body.on * 60_000);
      // Whoever looks at a bench looks at the clock again.
      makeChanges.tell('');
      return { now: clock.now() };
    },
  );
};
