import { createRequire } from 'node:module';
import { figuresWithUnits } from '@aurantia/core';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

const files = createRequire(import.meta.url);
/* Unpacked fonts: of a packed one, each glyph would have all of them unpacked again, which took half a second a page. */
const fontFile = (font: string): string => files.resolve(`@expo-google-fonts/${font}.ttf`);
const fonts = {
  Figtree: {
    normal: fontFile('figtree/400Regular/Figtree_400Regular'),
    bold: fontFile('figtree/700Bold/Figtree_700Bold'),
  },
  Bricolage: {
    normal: fontFile('bricolage-grotesque/700Bold/BricolageGrotesque_700Bold'),
    bold: fontFile('bricolage-grotesque/800ExtraBold/BricolageGrotesque_800ExtraBold'),
  },
};
const allowed = new Set(Object.values(fonts).flatMap((font) => Object.values(font)));
pdfmake.setFonts(fonts);
// Our pages are made of words and drawings: nothing else is read, nothing is ever fetched.
pdfmake.setLocalAccessPolicy((path) => allowed.has(path));
pdfmake.setUrlAccessPolicy(() => false);

/** A PDF with our fonts and nothing else to read; no line of it parts a figure from its unit. */
export const pdfOf = (definition: TDocumentDefinitions): Promise<Buffer> =>
  pdfmake.createPdf({ ...definition, content: figuresWithUnits(definition.content) }).getBuffer();
