import { figuresWithUnits } from '@aurantia/core';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { withEveryLetter } from './every-letter';
import { printedFonts } from './printed-fonts';

const allowed = new Set(Object.values(printedFonts).flatMap((font) => Object.values(font)));
pdfmake.setFonts(printedFonts);
// Our pages are made of words and drawings: nothing else is read, nothing is ever fetched.
pdfmake.setLocalAccessPolicy((path) => allowed.has(path));
pdfmake.setUrlAccessPolicy(() => false);

/** A PDF with our fonts and nothing else to read; no line of it parts a figure from its unit, no letter of it is missing. */
export function pdfOf({ content, footer, ...rest }: TDocumentDefinitions): Promise<Buffer> {
  const definition: TDocumentDefinitions = { ...rest, content: withEveryLetter(figuresWithUnits(content)) };
  if (typeof footer === 'function') definition.footer = (...of) => withEveryLetter(footer(...of));
  else if (footer) definition.footer = withEveryLetter(footer);
  return pdfmake.createPdf(definition).getBuffer();
}
