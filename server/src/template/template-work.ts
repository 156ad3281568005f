import { planOf } from '@aurantia/core';
import { templatePages, templatesOf, templateSvg, type TemplateWishes } from '@aurantia/core/templates';
import type { Reading } from '../aside/reading';
import { ProblemError } from '../http/problem';
import { templatePdf } from './template-pdf';

export interface TemplateAsked {
  /** of the design */
  readonly id: string;
  /** the id of one of the design's templates */
  readonly what: string;
  readonly wishes: TemplateWishes;
  /** the pages it is printed on, or as SVG for a cutter */
  readonly on: 'svg' | 'A4' | 'Letter' | 'own paper';
}

export interface TemplateDrawn {
  readonly title: string;
  readonly file: Uint8Array | string;
}

/**
 * One of a design's templates, drawn as it is wished.
 * @throws ProblemError 404 when the design has no such template
 */
export async function templateDrawn({ id, what, wishes, on }: TemplateAsked, from: Reading): Promise<TemplateDrawn> {
  const { document } = await from.designs.newest(id);
  const { workshop } = await from.workshop();
  const offer = templatesOf(document, planOf(document, workshop)).find((one) => one.id === what);
  if (!offer)
    throw new ProblemError(
      404,
      'No such template',
      'This design has no such template any more. Go back to its templates and choose one.',
    );
  const template = offer.draw(wishes);
  const { title } = template;
  if (on === 'svg') return { title, file: templateSvg(template) };
  return { title, file: await templatePdf(title, templatePages(template, on === 'own paper' ? workshop.settings.paper : on)) };
}
