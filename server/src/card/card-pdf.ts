import type { Card } from '@aurantia/core';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { INK, LINE, PEEL, SOFT } from '../pdf/page-inks';
import { pdfOf } from '../pdf/pdf-maker';
import { largestOnOnePage } from './largest-on-one-page';

/** Type sizes that are tried, pt: the largest that keeps the card on one page. Smaller can't be read at a bench. */
const SIZES = [8.6, 8.35, 8.1, 7.85, 7.6, 7.35, 7.1, 6.9, 6.7];

/**
 * The card as a PDF: one page, or more where so many coats would be too small to read.
 * @param drawing the cup as SVG
 */
export async function cardPdf(card: Card, drawing: string, paper: 'A4' | 'Letter'): Promise<Buffer> {
  return (await largestOnOnePage(SIZES, (size) => layOut(card, drawing, paper, size))).pdf;
}

async function layOut(
  card: Card,
  drawing: string,
  paper: 'A4' | 'Letter',
  fontSize: number,
): Promise<{ pdf: Buffer; pages: number }> {
  let pages = 0;
  const definition: TDocumentDefinitions = {
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [34, 28, 34, 28],
    info: { title: `${card.title}, card` },
    defaultStyle: { font: 'Figtree', fontSize, color: INK, lineHeight: 1.08 },
    footer: (page, count) => {
      pages = count;
      return count === 1
        ? ''
        : { text: `${card.title}, page ${page} of ${count}`, alignment: 'right', margin: [34, 6], color: SOFT };
    },
    content: [
      {
        columns: [
          { width: '*', stack: headOf(card) },
          { width: 84, svg: drawing, fit: [80, 100], alignment: 'right' },
        ],
        columnGap: 14,
      },
      ...(card.coats.length > 0
        ? [{ text: card.grows, color: SOFT, margin: [0, 6, 0, 2] } satisfies Content, coatsTable(card, fontSize)]
        : []),
      ...lookAt(card),
      { text: card.health.join(' '), fontSize: fontSize * 0.85, color: SOFT, margin: [0, 6, 0, 0] },
    ],
  };
  const pdf = await pdfOf(definition);
  return { pdf, pages };
}

function lookAt(card: Card): Content[] {
  if (card.look.length === 0) return [];
  return [{ text: 'Look at', font: 'Bricolage', fontSize: 10, margin: [0, 5, 0, 1] }, { ul: [...card.look] }];
}

function headOf(card: Card): Content[] {
  return [
    {
      text: [
        { text: card.title, font: 'Bricolage', bold: true, fontSize: 20 },
        { text: `   ${card.workshop}`, color: SOFT },
      ],
    },
    { text: card.cup, color: SOFT, margin: [0, 0, 0, 5] },
    areasTable(card),
    {
      text: card.totals.map((total) => `${total.figure} ${total.label}`).join('   ·   '),
      margin: [0, 5, 0, 0],
      color: PEEL,
      bold: true,
    },
    ...(card.note ? [{ text: card.note, margin: [0, 3, 0, 0] as [number, number, number, number] }] : []),
  ];
}

/** The areas one under the other; many of them in two columns, so that the card stays one page. */
function areasTable(card: Card): Content {
  const rows = card.areas.map((area): Content[] => [
    { canvas: [{ type: 'rect', x: 0, y: 1.5, w: 7, h: 7, r: 1.5, color: area.colour }] },
    {
      stack: [
        { text: area.name, bold: true },
        { text: `${area.where}, ${area.size}`, color: SOFT },
      ],
    },
    { stack: [glittersText(area), { text: area.outcome, color: SOFT }] },
  ]);
  const table = (body: Content[][]): Content => ({ layout: 'noBorders', table: { widths: [7, 'auto', '*'], body } });
  if (rows.length <= 4) return rows.length === 0 ? { text: '' } : table(rows);
  const half = Math.ceil(rows.length / 2);
  return { columns: [table(rows.slice(0, half)), table(rows.slice(half))], columnGap: 10 };
}

const glittersText = (area: Card['areas'][number]): string =>
  area.glitters.map((glitter) => `${glitter.amount} ${glitter.name}`).join(' + ');

/** Points that the colours after a coat are wide, all areas together, and tall. */
const GROWS = 26;
const TALL = 8;

/** What is seen of each area after a coat, side by side. */
const growthOf = (seen: readonly string[]): Content => ({
  canvas: seen.map((color, at) => ({
    type: 'rect' as const,
    x: (at * GROWS) / seen.length,
    y: 1,
    w: GROWS / seen.length,
    h: TALL,
    color,
  })),
});

function coatsTable(card: Card, fontSize: number): Content {
  // The smaller letters have to be the closer the rows draw, 1.8 to 1 pt.
  const air = 1 + (0.8 * (fontSize - SIZES[SIZES.length - 1])) / (SIZES[0] - SIZES[SIZES.length - 1]);
  return {
    layout: {
      hLineColor: () => LINE,
      hLineWidth: (row: number) => (row === 0 ? 0 : 0.6),
      vLineWidth: () => 0,
      paddingLeft: () => 0,
      paddingTop: () => air,
      paddingBottom: () => air,
    },
    table: {
      widths: [14, GROWS, '*', 200, 9],
      dontBreakRows: true,
      body: card.coats.map((coat) => [
        { text: String(coat.number), font: 'Bricolage', color: PEEL, fontSize: 10 },
        growthOf(coat.seen),
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
        { stack: coat.amounts.map((amount, index) => ({ text: amount, bold: index < 2 || coat.amounts.length > 3 })) },
        // a box to tick with a pencil
        { canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, r: 2, lineColor: SOFT, lineWidth: 0.7 }] },
      ]),
    },
  };
}
