import type { SheetLine } from '@aurantia/core/week';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { numberedPages } from '../pdf/numbered-pages';
import { INK, LINE, PEEL, SOFT } from '../pdf/page-inks';
import { pdfOf } from '../pdf/pdf-maker';

export interface DayAsked {
  readonly workshop: string;
  /** `2026-11-30` */
  readonly day: string;
  readonly lines: readonly SheetLine[];
  readonly paper: 'A4' | 'Letter';
}

/** A day of the week's plan on paper: a line a step, with a box to tick. */
export function sheetOfDay({ workshop, day, lines, paper }: DayAsked): Promise<Buffer> {
  const title = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    Date.parse(day),
  );
  const empty: Content = { text: 'Nothing is planned for this day.', margin: [0, 12] };
  return pdfOf({
    ...numberedPages(title, paper),
    defaultStyle: { font: 'Figtree', fontSize: 9.5, color: INK, lineHeight: 1.15 },
    content: [
      {
        text: [
          { text: title, font: 'Bricolage', bold: true, fontSize: 20 },
          { text: `   ${workshop}`, color: SOFT },
        ],
        margin: [0, 0, 0, 8],
      },
      lines.length === 0
        ? empty
        : {
            layout: {
              hLineColor: () => LINE,
              hLineWidth: () => 0.6,
              vLineWidth: () => 0,
              paddingLeft: () => 0,
              paddingRight: () => 8,
              paddingTop: () => 4,
              paddingBottom: () => 4,
            },
            table: { widths: [10, 64, 130, '*', 50], dontBreakRows: true, body: lines.map(row) },
          },
      {
        text: 'The label, local codes and the maker’s data sheet decide. Gloves, eye protection and air for resin; spray outdoors or in a booth.',
        color: SOFT,
        fontSize: 8,
        margin: [0, 12, 0, 0],
      },
    ],
  });
}

const row = ({ from, until, who, cup, does, then }: SheetLine): TableCell[] => [
  { canvas: [{ type: 'rect', x: 0, y: 2, w: 8, h: 8, lineColor: SOFT, lineWidth: 0.8 }] },
  { text: until === '' ? from : `${from}–${until}`, bold: true, color: PEEL },
  { text: cup, bold: true },
  { stack: [does, { text: then, color: SOFT }] },
  { text: who, color: SOFT },
];
