import type { TemplatePage } from '@aurantia/core/templates';
import type { Content } from 'pdfmake/interfaces';
import { pdfOf } from '../pdf/pdf-maker';

/** A PDF's own unit: 72 points an inch of 25.4 mm. */
const POINTS_PER_MM = 72 / 25.4;

/**
 * Pages of a template as a PDF at true scale: each drawing fills its page to the edge, so a mm of it
 * is a mm on paper.
 * @param compressed false to read the drawing in the file, as the tests do
 */
export async function templatePdf(title: string, pages: readonly TemplatePage[], compressed = true): Promise<Buffer> {
  const content = pages.map((page, index): Content => {
    const size = { width: page.width * POINTS_PER_MM, height: page.height * POINTS_PER_MM };
    const drawing: Content = { svg: page.svg, ...size, absolutePosition: { x: 0, y: 0 } };
    if (index === 0) return drawing;
    return {
      ...drawing,
      pageBreak: 'before',
      pageOrientation: page.width > page.height ? 'landscape' : 'portrait',
    };
  });
  const [first] = pages;
  const [short, long] = [Math.min(first.width, first.height), Math.max(first.width, first.height)];
  return pdfOf({
    pageSize: { width: short * POINTS_PER_MM, height: long * POINTS_PER_MM },
    pageOrientation: first.width > first.height ? 'landscape' : 'portrait',
    pageMargins: 0,
    compress: compressed,
    info: { title },
    defaultStyle: { font: 'Figtree' },
    content,
  });
}
