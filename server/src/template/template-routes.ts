import { fileNameOf } from '@aurantia/core';
import { templateMeasures, usualWishes } from '@aurantia/core/templates';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { asFile, asPage } from '../http/handed-over';
import { byId } from '../http/id-param';
import type { Memory } from '../memory';
import type { TemplateAsked } from './template-work';

const wishes = z.object({
  what: z.string().max(140),
  gap: z.coerce.number().pipe(templateMeasures.gap).default(usualWishes.gap),
  overlap: z.coerce.number().pipe(templateMeasures.overlap).default(usualWishes.overlap),
  straight: z.enum(['true', 'false']).default('false'),
});
const papers = z.enum(['A4', 'Letter']);

/** Templates of a design, for a cutter as SVG and for paper as PDF. */
export const templateRoutes: FastifyPluginAsyncZod<Memory> = async (app, { aside }) => {
  const drawn = (id: string, { what, gap, overlap, straight }: z.infer<typeof wishes>, on: TemplateAsked['on']) =>
    aside.do('template', { id, what, wishes: { gap, overlap, straight: straight === 'true' }, on });

  app.get('/:id/template.svg', { schema: { params: byId, querystring: wishes } }, async (request, reply) => {
    const { title, file } = await drawn(request.params.id, request.query, 'svg');
    return reply
      .type('image/svg+xml')
      .header(...asFile(`${fileNameOf(title, 'template')}.svg`))
      .send(file);
  });

  app.get(
    '/:id/template.pdf',
    { schema: { params: byId, querystring: wishes.extend({ paper: papers.optional() }) } },
    async (request, reply) => {
      const { title, file } = await drawn(request.params.id, request.query, request.query.paper ?? 'own paper');
      return reply
        .type('application/pdf')
        .header(...asPage(`${fileNameOf(title, 'template')}.pdf`))
        .send(typeof file === 'string' ? file : Buffer.from(file));
    },
  );
};
