import { escaped } from '../units';
import type { Template, TemplateSheet } from './template';
import { linePath } from './template-svg';

/** Paper, mm. */
export const papers = { A4: [210, 297], Letter: [215.9, 279.4] } as const satisfies Record<string, readonly [number, number]>;
export type Paper = keyof typeof papers;

/** No printer reaches the very edge; the head has the title, the foot the check bar. */
const MARGIN = 9;
const HEAD = 13;
const FOOT = 13;
/** How far neighbouring tiles show the same, so that they can be laid over each other. */
const OVERLAP = 10;
/** The bar that shows whether the printer kept the scale. */
export const CHECK_BAR = 50;

/** One printed page: its size and its drawing, an SVG in mm. */
export interface TemplatePage {
  readonly width: number;
  readonly height: number;
  readonly svg: string;
}

const figure = (value: number): string => String(Math.round(value * 1000) / 1000);

/**
 * A template on paper at true scale. A sheet larger than the page comes in tiles with crosses to lay
 * over each other; each page has a 50 mm bar to measure.
 */
export function templatePages(template: Template, paper: Paper): readonly TemplatePage[] {
  return template.sheets.flatMap((sheet) => sheetPages(sheet, template.title, paper));
}

interface Tiling {
  readonly page: readonly [number, number];
  readonly columns: number;
  readonly rows: number;
  /** how far apart tiles begin */
  readonly step: readonly [number, number];
}

function tilingOf(sheet: TemplateSheet, page: readonly [number, number]): Tiling {
  const room = [page[0] - 2 * MARGIN, page[1] - 2 * MARGIN - HEAD - FOOT] as const;
  const count = (size: number, across: number) => (size <= across ? 1 : Math.ceil((size - OVERLAP) / (across - OVERLAP)));
  return {
    page,
    columns: count(sheet.width, room[0]),
    rows: count(sheet.height, room[1]),
    step: [room[0] - OVERLAP, room[1] - OVERLAP],
  };
}

function sheetPages(sheet: TemplateSheet, title: string, paper: Paper): readonly TemplatePage[] {
  const [short, long] = papers[paper];
  const upright = tilingOf(sheet, [short, long]);
  const lying = tilingOf(sheet, [long, short]);
  const tiling = lying.columns * lying.rows < upright.columns * upright.rows ? lying : upright;
  const pages: TemplatePage[] = [];
  for (let row = 0; row < tiling.rows; row += 1)
    for (let column = 0; column < tiling.columns; column += 1) pages.push(tilePage(sheet, title, tiling, row, column));
  return pages;
}

function tilePage(sheet: TemplateSheet, title: string, tiling: Tiling, row: number, column: number): TemplatePage {
  const [width, height] = tiling.page;
  const room = { left: MARGIN, top: MARGIN + HEAD, width: width - 2 * MARGIN, height: height - 2 * MARGIN - HEAD - FOOT };
  const count = tiling.rows * tiling.columns;
  const [left, top] = [column * tiling.step[0], row * tiling.step[1]];
  const tile = count === 1 ? '' : `, tile ${row + 1}.${column + 1} of ${tiling.rows} × ${tiling.columns}`;
  const heading = sheet.title === title ? title : `${title}: ${sheet.title}`;
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${figure(width)} ${figure(height)}" width="${figure(width)}mm" height="${figure(height)}mm">`,
    `<defs><clipPath id="room"><rect x="${room.left}" y="${room.top}" width="${figure(room.width)}" height="${figure(room.height)}"/></clipPath></defs>`,
    text(MARGIN, MARGIN + 4, 4.2, 'bold', `${heading}${tile}`),
    text(MARGIN, MARGIN + 9, 3, 'normal', 'Print at 100 %, not fitted to the page; then lay a ruler on the bar below.'),
    `<g clip-path="url(#room)"><g transform="translate(${figure(room.left - left)} ${figure(room.top - top)})">`,
    ...sheet.lines.map(
      (line) =>
        `<path d="${linePath(line)}" fill="none" stroke="${line.role === 'cut' ? '#2a1b2e' : '#6b5a66'}" stroke-width="${line.role === 'cut' ? 0.25 : 0.18}"${line.role === 'fold' ? ' stroke-dasharray="3 2"' : ''}/>`,
    ),
    ...sheet.words.map(({ at, text: word }) => text(at[0], at[1], 2.6, 'normal', word)),
    ...(count === 1 ? [] : crosses(tiling)),
    '</g></g>',
    checkBar(MARGIN, height - MARGIN - 5),
    '</svg>',
  ].join('\n');
  return { width, height, svg };
}

/** Crosses in the middle of every overlap: the same ones show on neighbouring tiles. */
function crosses({ rows, columns, step }: Tiling): readonly string[] {
  const half = OVERLAP / 2;
  const cross = (x: number, y: number) =>
    `<path d="M${figure(x - 4)} ${figure(y)}L${figure(x + 4)} ${figure(y)}M${figure(x)} ${figure(y - 4)}L${figure(x)} ${figure(y + 4)}" fill="none" stroke="#c2470f" stroke-width="0.18"/>`;
  const marks: string[] = [];
  for (let c = 1; c < columns; c += 1)
    for (let r = 0; r < rows; r += 1)
      for (const share of [0.15, 0.85]) marks.push(cross(c * step[0] + half, r * step[1] + half + share * (step[1] - half)));
  for (let r = 1; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1)
      for (const share of [0.15, 0.85]) marks.push(cross(c * step[0] + half + share * (step[0] - half), r * step[1] + half));
  return marks;
}

const checkBar = (x: number, y: number): string =>
  [
    `<path d="M${x} ${figure(y)}L${x + CHECK_BAR} ${figure(y)}M${x} ${figure(y - 2)}L${x} ${figure(y + 2)}M${x + CHECK_BAR} ${figure(y - 2)}L${x + CHECK_BAR} ${figure(y + 2)}" fill="none" stroke="#2a1b2e" stroke-width="0.3"/>`,
    text(x + CHECK_BAR + 3, y + 1, 3, 'normal', `${CHECK_BAR} mm. If your ruler reads otherwise, the printer changed the scale.`),
  ].join('\n');

const text = (x: number, y: number, size: number, weight: 'normal' | 'bold', words: string): string =>
  `<text x="${figure(x)}" y="${figure(y)}" font-family="Figtree" font-size="${size}" font-weight="${weight}" fill="#2a1b2e">${escaped(words)}</text>`;
