import { paletteSchema, sampleSheet } from '@aurantia/core/palettes';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';
import { templatePdf } from '../template/template-pdf';

const byId = z.object({ id: z.string().max(64) });

/** Palettes, and the sheets to glue their samples on. */
export const palettesRoutes: FastifyPluginAsyncZod<Memory> = async (app, { palettes, workshop }) => {
  app.get('/', { schema: { response: { 200: z.array(paletteSchema) } } }, async () => [...(await palettes.all())]);

  app.put(
    '/:id',
    { schema: { params: byId, body: paletteSchema, response: { 200: paletteSchema } } },
    async ({ params, body }) => {
      if (params.id !== body.id)
        throw new ProblemError(
          422,
          'Two ids',
          'The address names another palette than the document does. Send the palette to its own address.',
        );
      return palettes.put(body);
    },
  );

  app.delete('/:id', { schema: { params: byId } }, async (request, reply) => {
    await palettes.setRemoved(request.params.id, true);
    return reply.code(204).send();
  });

  app.post('/:id/restore', { schema: { params: byId } }, async (request, reply) => {
    await palettes.setRemoved(request.params.id, false);
    return reply.code(204).send();
  });

  app.get(
    '/:id/samples.pdf',
    { schema: { params: byId, querystring: z.object({ paper: z.enum(['A4', 'Letter']).optional() }) } },
    async (request, reply) => {
      const palette = await palettes.one(request.params.id);
      const { paper } = await workshop.settings();
      const pdf = await templatePdf(`${palette.name}, samples`, sampleSheet(palette, request.query.paper ?? paper));
      return reply.type('application/pdf').header('content-disposition', 'inline; filename="samples.pdf"').send(pdf);
    },
  );
};
