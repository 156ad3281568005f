import { escaped } from '../units';
import { mixLines, type Palette, type PaletteColour } from './palette';

/** A page at true scale, mm. */
export interface SamplePage {
  readonly width: number;
  readonly height: number;
  readonly svg: string;
}

const papers = { A4: { width: 210, height: 297 }, Letter: { width: 215.9, height: 279.4 } } as const;
/** mm: a dab as wide as a thumb, and what it stands beside */
const DAB = 24;
const ROW = 34;
const MARGIN = 14;
const HEAD = 26;
const BAR = 50;

/**
 * Sheets to glue test dabs on: for each colour two rings for glitter in glue, on white and on the base, beside
 * the printed colour it should come to, its mix, and lines to note the glue, the passes and the day.
 */
export function sampleSheet({ name, colours }: Palette, paper: keyof typeof papers): readonly SamplePage[] {
  const { width, height } = papers[paper];
  const rows = Math.floor((height - MARGIN - HEAD - MARGIN) / ROW);
  const pages = Math.ceil(colours.length / rows);
  return Array.from({ length: pages }, (_, page) => ({
    width,
    height,
    svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">${[
      text(MARGIN, MARGIN + 6, `${name}: samples to glue`, { size: 6.2, fill: '#2A1B2E', font: 'Bricolage', weight: 'bold' }),
      text(
        MARGIN,
        MARGIN + 12.5,
        'Dab glue in a ring, pour the mix, tap off; let it set and compare with the printed field in daylight.',
        { size: 3.1, fill: SOFT },
      ),
      scaleBar(width),
      ...colours.slice(page * rows, (page + 1) * rows).map((colour, row) => sample(colour, MARGIN + HEAD + row * ROW, width)),
      text(width - MARGIN, height - 7, `${page + 1} of ${pages}`, { size: 3, fill: SOFT, anchor: 'end' }),
    ].join('')}</svg>`,
  }));
}

const SOFT = '#6B5A66';
const LINE = '#B9A88F';

function sample({ name, colour, mix }: PaletteColour, top: number, width: number): string {
  const middle = top + DAB / 2;
  const ring = (x: number, label: string) =>
    `<circle cx="${x + DAB / 2}" cy="${middle}" r="${DAB / 2}" fill="none" stroke="${LINE}" stroke-width="0.3" stroke-dasharray="1.2 0.9"/>${text(x + DAB / 2, top + DAB + 3.6, label, { size: 2.6, fill: SOFT, anchor: 'middle' })}`;
  const words = MARGIN + 3 * (DAB + 4) + 2;
  const lines = ['glue', 'passes', 'day'];
  const line = (width - MARGIN - words) / lines.length;
  const recipe = mix ? mixLines(mix, 52) : ['no mix noted yet'];
  return [
    `<rect x="${MARGIN}" y="${top}" width="${DAB}" height="${DAB}" rx="1.5" fill="${mix?.colour ?? colour}"/>`,
    text(MARGIN + DAB / 2, top + DAB + 3.6, 'should come to', { size: 2.6, fill: SOFT, anchor: 'middle' }),
    ring(MARGIN + DAB + 4, 'on white'),
    ring(MARGIN + 2 * (DAB + 4), 'on its base'),
    text(words, top + 5, `${name}`, { size: 4.2, fill: '#2A1B2E', weight: 'bold' }),
    ...recipe.slice(0, 3).map((part, i) => text(words, top + 10 + i * 3.9, part, { size: 3, fill: '#2A1B2E' })),
    ...lines.map(
      (label, i) =>
        `<line x1="${words + i * line}" y1="${top + DAB}" x2="${words + (i + 1) * line - 4}" y2="${top + DAB}" stroke="${LINE}" stroke-width="0.25"/>${text(words + i * line, top + DAB + 3.6, label, { size: 2.6, fill: SOFT })}`,
    ),
  ].join('');
}

/** 50 mm to lay a ruler on: a printer that scales shows it. */
const scaleBar = (width: number): string => {
  const x = width - MARGIN - BAR;
  return `<path d="M${x} ${MARGIN + 4}v3h${BAR}v-3" fill="none" stroke="#2A1B2E" stroke-width="0.3"/>${text(x + BAR / 2, MARGIN + 5.4, '50 mm', { size: 2.8, fill: '#2A1B2E', anchor: 'middle' })}`;
};

/** Words on the sheet: how large, mm, and what they look like. */
interface Print {
  readonly size: number;
  readonly fill: string;
  readonly font?: string;
  readonly weight?: 'normal' | 'bold';
  readonly anchor?: 'start' | 'middle' | 'end';
}

const text = (
  x: number,
  y: number,
  words: string,
  { size, fill, font = 'Figtree', weight = 'normal', anchor = 'start' }: Print,
): string =>
  `<text x="${x}" y="${y}" font-family="${font}" font-size="${size}" font-weight="${weight}" text-anchor="${anchor}" fill="${fill}">${escaped(words)}</text>`;
