import { templatePages, templatesOf, templateSvg, templateMeasures, usualWishes, type Template } from '@aurantia/core/templates';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import * as z from 'zod';
import { byId } from '../http/id-param';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';
import { planAside } from '../plan/plan-aside';
import { templatePdf } from './template-pdf';

const wishes = z.object({
  what: z.string().max(140),
  gap: z.coerce.number().pipe(templateMeasures.gap).default(usualWishes.gap),
  overlap: z.coerce.number().pipe(templateMeasures.overlap).default(usualWishes.overlap),
  straight: z.enum(['true', 'false']).default('false'),
});

/** Templates of a design, for a cutter as SVG and for paper as PDF. */
export const templateRoutes: FastifyPluginAsyncZod<Memory> = async (app, { designs, planned }) => {
  async function drawn(id: string, query: z.infer<typeof wishes>): Promise<{ template: Template; paper: 'A4' | 'Letter' }> {
    const { document } = await designs.newest(id);
    const workshop = await planned();
    const plan = await planAside(document, workshop);
    const offer = templatesOf(document, plan).find((one) => one.id === query.what);
    if (!offer)
      throw new ProblemError(
        404,
        'No such template',
        'This design has no such template any more. Go back to its templates and choose one.',
      );
    return { template: offer.draw({ ...query, straight: query.straight === 'true' }), paper: workshop.settings.paper };
  }

  app.get('/:id/template.svg', { schema: { params: byId, querystring: wishes } }, async (request, reply) => {
    const { template } = await drawn(request.params.id, request.query);
    return reply
      .type('image/svg+xml')
      .header('content-disposition', `attachment; filename="${fileName(template.title)}.svg"`)
      .send(templateSvg(template));
  });

  app.get(
    '/:id/template.pdf',
    { schema: { params: byId, querystring: wishes.extend({ paper: z.enum(['A4', 'Letter']).optional() }) } },
    async (request, reply) => {
      const { template, paper } = await drawn(request.params.id, request.query);
      const pdf = await templatePdf(template.title, templatePages(template, request.query.paper ?? paper));
      return reply
        .type('application/pdf')
        .header('content-disposition', `inline; filename="${fileName(template.title)}.pdf"`)
        .send(pdf);
    },
  );
};

const fileName = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/gi, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'template';
