import type { LogLine, MakeSheet, SheetCoat } from '@aurantia/core/make';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { numberedPages } from '../pdf/numbered-pages';
import { INK, LINE, PEEL, SOFT } from '../pdf/page-inks';
import { pdfOf } from '../pdf/pdf-maker';

/** Photos that are printed, the latest, side by side; pt. */
const PHOTOS = 6;
const PHOTO_WIDE = 168;

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
const clock = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
const moment = (ms: number | null): string => (ms === null ? '' : clock.format(ms));

const rules = {
  hLineColor: () => LINE,
  hLineWidth: (row: number) => (row === 0 ? 0 : 0.6),
  vLineWidth: () => 0,
  paddingLeft: () => 0,
  paddingRight: () => 6,
  paddingTop: () => 2,
  paddingBottom: () => 2,
};
const heading = (text: string): Content => ({ text, font: 'Bricolage', fontSize: 12, margin: [0, 10, 0, 3] });
const soft = (text: string): Content => ({ text, color: SOFT });

/** Which words say how a coat stands, where it isn't simply done. */
const stands: Readonly<Record<SheetCoat['state'], string>> = {
  done: '',
  skipped: 'left out',
  begun: 'at the bench',
  next: 'comes next',
  later: 'not yet laid',
};

/**
 * A whole make on paper: each coat planned beside what happened, the jars and lots it took, the log and its photos.
 * @param photos JPEG, the latest last
 */
export function makePdf(sheet: MakeSheet, photos: readonly Uint8Array[], paper: 'A4' | 'Letter'): Promise<Buffer> {
  return pdfOf({
    ...numberedPages(`${sheet.title}, ${sheet.called}`, paper),
    defaultStyle: { font: 'Figtree', fontSize: 8.6, color: INK, lineHeight: 1.1 },
    content: [
      {
        text: [
          { text: sheet.title, font: 'Bricolage', bold: true, fontSize: 20 },
          { text: `   ${sheet.called}`, fontSize: 11 },
          { text: `   ${sheet.workshop}`, color: SOFT },
        ],
      },
      soft(`${sheet.cup}; begun ${day.format(sheet.begun)}`),
      { stack: sheet.facts.map((text): Content => ({ text })), margin: [0, 5, 0, 0] },
      heading('Coat by coat'),
      {
        layout: rules,
        table: { widths: [14, 9, '*', 250], dontBreakRows: true, body: sheet.coats.map(coatRow) },
      },
      ...jarsOf(sheet),
      ...picturesOf(photos.slice(-PHOTOS)),
      ...(sheet.log.length > 0 ? [heading('What happened'), logOf(sheet.log)] : []),
    ],
  });
}

function coatRow(coat: SheetCoat): TableCell[] {
  const when = [moment(coat.begun), moment(coat.ended)].filter((text) => text !== '').join(' – ');
  return [
    { text: String(coat.number), font: 'Bricolage', color: PEEL, fontSize: 10 },
    { canvas: [{ type: 'rect', x: 0, y: 1.5, w: 8, h: 8, r: 1.5, color: coat.shows }] },
    {
      stack: [
        {
          text: [
            { text: coat.title, bold: true },
            { text: `  ${[coat.where, stands[coat.state]].filter((text) => text !== '').join(', ')}`, color: SOFT },
          ],
        },
        soft(when),
        ...coat.notes.map((text): Content => ({ text, color: '#8A5A00' })),
      ],
    },
    amountsOf(coat),
  ];
}

/** What it was measured at, really, is what is read first; the plan beside it. */
function amountsOf({ amounts, state }: SheetCoat): Content {
  if (amounts.length === 0) return { text: '' };
  const over = state === 'done';
  return {
    layout: { ...rules, hLineWidth: () => 0, paddingTop: () => 0, paddingBottom: () => 0.5 },
    table: {
      widths: ['*', 58, 58],
      headerRows: 1,
      body: [
        [soft('what'), soft('planned'), soft('really')],
        ...amounts.map((one): TableCell[] => [
          { text: [one.name, { text: one.lot ? `  lot ${one.lot}` : '', color: SOFT }] },
          { text: one.planned },
          { text: over ? one.really : '…', bold: over, ...(over && one.other ? { color: PEEL } : {}) },
        ]),
      ],
    },
  };
}

function picturesOf(photos: readonly Uint8Array[]): Content[] {
  if (photos.length === 0) return [];
  const columns = photos.map((bytes) => ({
    image: `data:image/jpeg;base64,${Buffer.from(bytes).toString('base64')}`,
    fit: [Math.min(PHOTO_WIDE, 500 / photos.length), PHOTO_WIDE] as [number, number],
  }));
  return [{ unbreakable: true, stack: [heading('Photos'), { columns, columnGap: 4 }] }];
}

function jarsOf({ jars }: MakeSheet): Content[] {
  if (jars.length === 0) return [];
  const text = jars.map(({ name, lot }) => (lot ? `${name} (lot ${lot})` : name)).join(', ');
  return [heading('From the shelf'), { text }];
}

const logOf = (log: readonly LogLine[]): Content => ({
  layout: rules,
  table: {
    widths: [66, '*'],
    dontBreakRows: true,
    body: log.map(({ at, what, says }): TableCell[] => [
      { text: moment(at), color: SOFT },
      { text: [{ text: what, bold: true }, says ? `  ${says}` : ''] },
    ]),
  },
});
