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
      text(MARGIN, MARGIN + 6, `${name}: samples to glue`, 6.2, '#2A1B2E', 'Bricolage', 'bold'),
      text(
        MARGIN,
        MARGIN + 12.5,
        'Dab glue in a ring, pour the mix, tap off; let it set and compare with the printed field in daylight.',
        3.1,
        SOFT,
      ),
      scaleBar(width),
      ...colours.slice(page * rows, (page + 1) * rows).map((colour, row) => sample(colour, MARGIN + HEAD + row * ROW, width)),
      text(width - MARGIN, height - 7, `${page + 1} of ${pages}`, 3, SOFT, 'Figtree', 'normal', 'end'),
    ].join('')}</svg>`,
  }));
}

const SOFT = '#6B5A66';
const LINE = '#B9A88F';

function sample({ name, colour, mix }: PaletteColour, top: number, width: number): string {
  const middle = top + DAB / 2;
  const ring = (x: number, label: string) =>
    `<circle cx="${x + DAB / 2}" cy="${middle}" r="${DAB / 2}" fill="none" stroke="${LINE}" stroke-width="0.3" stroke-dasharray="1.2 0.9"/>${text(x + DAB / 2, top + DAB + 3.6, label, 2.6, SOFT, 'Figtree', 'normal', 'middle')}`;
  const words = MARGIN + 3 * (DAB + 4) + 2;
  const lines = ['glue', 'passes', 'day'];
  const line = (width - MARGIN - words) / lines.length;
  const recipe = mix ? mixLines(mix, 52) : ['no mix noted yet'];
  return [
    `<rect x="${MARGIN}" y="${top}" width="${DAB}" height="${DAB}" rx="1.5" fill="${mix?.colour ?? colour}"/>`,
    text(MARGIN + DAB / 2, top + DAB + 3.6, 'should come to', 2.6, SOFT, 'Figtree', 'normal', 'middle'),
    ring(MARGIN + DAB + 4, 'on white'),
    ring(MARGIN + 2 * (DAB + 4), 'on its base'),
    text(words, top + 5, `${name}`, 4.2, '#2A1B2E', 'Figtree', 'bold'),
    ...recipe.slice(0, 3).map((part, i) => text(words, top + 10 + i * 3.9, part, 3, '#2A1B2E')),
    ...lines.map(
      (label, i) =>
        `<line x1="${words + i * line}" y1="${top + DAB}" x2="${words + (i + 1) * line - 4}" y2="${top + DAB}" stroke="${LINE}" stroke-width="0.25"/>${text(words + i * line, top + DAB + 3.6, label, 2.6, SOFT)}`,
    ),
  ].join('');
}

/** 50 mm to lay a ruler on: a printer that scales shows it. */
const scaleBar = (width: number): string => {
  const x = width - MARGIN - BAR;
  return `<path d="M${x} ${MARGIN + 4}v3h${BAR}v-3" fill="none" stroke="#2A1B2E" stroke-width="0.3"/>${text(x + BAR / 2, MARGIN + 5.4, '50 mm', 2.8, '#2A1B2E', 'Figtree', 'normal', 'middle')}`;
};

function text(
  x: number,
  y: number,
  words: string,
  size: number,
  fill: string,
  font = 'Figtree',
  weight = 'normal',
  anchor = 'start',
): string {
  return `<text x="${x}" y="${y}" font-family="${font}" font-size="${size}" font-weight="${weight}" text-anchor="${anchor}" fill="${fill}">${escaped(words)}</text>`;
}
