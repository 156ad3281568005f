import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Card } from '@aurantia/core';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

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
// A card is made of words and one drawing: nothing else is read, nothing is ever fetched.
pdfmake.setLocalAccessPolicy((path) => allowed.has(path));
pdfmake.setUrlAccessPolicy(() => false);

const INK = '#2A1B2E';
const SOFT = '#6B5A66';
const PEEL = '#C2470F';
const LINE = '#E6DAC8';

/**
 * The card as a PDF page.
 * @param drawing the cup as SVG
 */
export async function cardPdf(card: Card, drawing: string, paper: 'A4' | 'Letter'): Promise<Buffer> {
  const definition: TDocumentDefinitions = {
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [36, 32, 36, 32],
    info: { title: `${card.title}, card` },
    defaultStyle: { font: 'Figtree', fontSize: 8.2, color: INK, lineHeight: 1.12 },
    content: [
      {
        columns: [
          { width: '*', stack: headOf(card) },
          { width: 96, svg: drawing, fit: [92, 118], alignment: 'right' },
        ],
        columnGap: 14,
      },
      { text: 'Coats, in order', font: 'Bricolage', fontSize: 11, margin: [0, 8, 0, 3] },
      coatsTable(card),
      ...(card.look.length > 0
        ? [
            { text: 'Look at', font: 'Bricolage', fontSize: 10, margin: [0, 6, 0, 2] as [number, number, number, number] },
            { ul: [...card.look] },
          ]
        : []),
      { text: card.health.join(' '), fontSize: 7, color: SOFT, margin: [0, 8, 0, 0] },
    ],
  };
  return pdfmake.createPdf(definition).getBuffer();
}

function headOf(card: Card): Content[] {
  return [
    { text: card.title, font: 'Bricolage', bold: true, fontSize: 20 },
    { text: card.cup, color: SOFT, margin: [0, 0, 0, 5] },
    {
      layout: 'noBorders',
      table: {
        widths: [7, 'auto', '*'],
        body: card.areas.map((area) => [
          { canvas: [{ type: 'rect', x: 0, y: 1.5, w: 7, h: 7, r: 1.5, color: area.colour }] },
          {
            stack: [
              { text: area.name, bold: true },
              { text: `${area.where}, ${area.size}`, color: SOFT },
            ],
          },
          { stack: [glittersText(area), { text: area.outcome, color: SOFT }] },
        ]),
      },
    },
    {
      text: card.totals.map((total) => `${total.figure} ${total.label}`).join('   ·   '),
      margin: [0, 5, 0, 0],
      color: PEEL,
      bold: true,
    },
    ...(card.note ? [{ text: card.note, margin: [0, 3, 0, 0] as [number, number, number, number] }] : []),
  ];
}

const glittersText = (area: Card['areas'][number]): string =>
  area.glitters.map((glitter) => `${glitter.amount} ${glitter.name}`).join(' + ');

function coatsTable(card: Card): Content {
  return {
    layout: {
      hLineColor: () => LINE,
      hLineWidth: (row: number) => (row === 0 ? 0 : 0.6),
      vLineWidth: () => 0,
      paddingLeft: () => 0,
      paddingTop: () => 2.5,
      paddingBottom: () => 2.5,
    },
    table: {
      widths: [14, '*', 200, 9],
      dontBreakRows: true,
      body: card.coats.map((coat) => [
        { text: String(coat.number), font: 'Bricolage', color: PEEL, fontSize: 10 },
        {
          stack: [
            {
              text: [
                { text: coat.title, bold: true },
                { text: `  ${coat.where}`, color: SOFT },
              ],
            },
            { text: `${coat.does} ${coat.wait}` },
            ...coat.cautions.map((caution) => ({ text: caution, color: '#8A5A00' })),
          ],
        },
        { stack: coat.amounts.map((amount, index) => ({ text: amount, bold: index < 2 })) },
        // a box to tick with a pencil
        { canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, r: 2, lineColor: SOFT, lineWidth: 0.7 }] },
      ]),
    },
  };
}
