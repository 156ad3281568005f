import { fileNameOf } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { asPage } from '../http/handed-over';
import { byId } from '../http/id-param';
import type { Memory } from '../memory';

/** The printed card of a design. */
export const cardRoutes: FastifyPluginAsyncZod<Memory> = async (app, { aside }) => {
  app.get(
    '/:id/card.pdf',
    {
      schema: {
        params: byId,
        querystring: z.object({ paper: z.enum(['A4', 'Letter']).optional() }),
      },
    },
    async (request, reply) => {
      const { name, pdf } = await aside.do('card', { id: request.params.id, paper: request.query.paper ?? null });
      return reply
        .type('application/pdf')
        .header(...asPage(`${fileNameOf(name, 'design')}-card.pdf`))
        .send(Buffer.from(pdf));
    },
  );
};
