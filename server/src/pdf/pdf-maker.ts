import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';

const files = createRequire(import.meta.url);
const fontFile = (family: string, weight: number): string => {
  const folder = dirname(files.resolve(`@fontsource/${family}/package.json`));
  return join(folder, 'files', `${family}-latin-${weight}-normal.woff`);
};
const fonts = {
  Figtree: { normal: fontFile('figtree', 400), bold: fontFile('figtree', 700) },
  Bricolage: { normal: fontFile('bricolage-grotesque', 700), bold: fontFile('bricolage-grotesque', 800) },
};
const allowed = new Set(Object.values(fonts).flatMap((font) => Object.values(font)));
pdfmake.setFonts(fonts);
// Our pages are made of words and drawings: nothing else is read, nothing is ever fetched.
pdfmake.setLocalAccessPolicy((path) => allowed.has(path));
pdfmake.setUrlAccessPolicy(() => false);

/** The maker of all our PDFs, with our fonts and nothing else to read. */
export { pdfmake };
