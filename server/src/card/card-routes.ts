import { cardOf, cupDrawing } from '@aurantia/core';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { byId } from '../http/id-param';
import type { Memory } from '../memory';
import { planAside } from '../plan/plan-aside';
import { cardPdf } from './card-pdf';

/** The printed card of a design. */
export const cardRoutes: FastifyPluginAsyncZod<Memory> = async (app, { designs, planned }) => {
  app.get(
    '/:id/card.pdf',
    {
      schema: {
        params: byId,
        querystring: z.object({ paper: z.enum(['A4', 'Letter']).optional() }),
      },
    },
    async (request, reply) => {
      const { document } = await designs.newest(request.params.id);
      const workshop = await planned();
      const { settings } = workshop;
      const plan = await planAside(document, workshop);
      const pdf = await cardPdf(
        cardOf(plan, document, settings),
        cupDrawing(plan, document.cup),
        request.query.paper ?? settings.paper,
      );
      return reply.type('application/pdf').header('content-disposition', 'inline; filename="card.pdf"').send(pdf);
    },
  );
};
