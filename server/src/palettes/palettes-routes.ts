import { fileNameOf } from '@aurantia/core';
import { paletteSchema } from '@aurantia/core/palette';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { asPage } from '../http/handed-over';
import { byId } from '../http/id-param';
import { keptRoutes } from '../http/kept-routes';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';

/** Palettes, and the sheets to glue their samples on. */
export const palettesRoutes: FastifyPluginAsyncZod<Memory> = async (app, { palettes, workshop, aside }) => {
  app.addHook('preHandler', async ({ method, params, body }) => {
    if (method !== 'PUT') return;
    const [address, inside] = [byId.parse(params).id, z.object({ document: paletteSchema }).parse(body).document.id];
    if (address !== inside)
      throw new ProblemError(
        422,
        'Two ids',
        'The address names another palette than the document does. Send the palette to its own address.',
      );
  });
  keptRoutes(app, palettes, paletteSchema);

  app.get(
    '/:id/samples.pdf',
    { schema: { params: byId, querystring: z.object({ paper: z.enum(['A4', 'Letter']).optional() }) } },
    async (request, reply) => {
      const { document: palette } = await palettes.one(request.params.id);
      const { paper } = await workshop.settings();
      const pdf = await aside.do('samples', { palette, paper: request.query.paper ?? paper });
      return reply
        .type('application/pdf')
        .header(...asPage(`${fileNameOf(palette.name, 'palette')}-samples.pdf`))
        .send(Buffer.from(pdf));
    },
  );
};
