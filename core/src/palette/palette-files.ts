import Papa from 'papaparse';
import * as z from 'zod';
import { readHex } from '../hex';
import { faultsOf, type Fault } from '../design';
import { unquoted, wouldRun } from '../units';
import { mixLine, MOST_COLOURS, paletteSchema, type Palette, type PaletteId } from './palette';

const PALETTE_FORMAT = 'aurantia palette';

const fileSchema = z.strictObject({
  format: z.literal(PALETTE_FORMAT, { error: `This is no palette: its format must say “${PALETTE_FORMAT}”.` }),
  version: z.literal(1, { error: 'This palette is of another version; this program reads version 1.' }),
  palette: paletteSchema,
});

/** Everything about a palette, mixes and all. */
export const paletteJson = (palette: Palette): string =>
  `${JSON.stringify({ format: PALETTE_FORMAT, version: 1, palette }, null, 2)}\n`;

/** A row a colour. Cells that a spreadsheet would run as formulas are quoted. */
export const paletteCsv = ({ colours }: Palette): string =>
  `${Papa.unparse(
    {
      fields: ['name', 'colour', 'mix', 'mix_colour', 'difference'],
      data: colours.map(({ name, colour, mix }) => [
        name,
        colour,
        mix ? mixLine(mix) : '',
        mix?.colour ?? '',
        mix?.difference ?? '',
      ]),
    },
    { escapeFormulae: wouldRun, newline: '\n' },
  )}\n`;

/** Plain text, a line a colour: `#c2470f  Penny Rain`. */
export const paletteText = ({ name, colours }: Palette): string =>
  `; ${oneLine(name)}\n${colours.map((one) => `${one.colour}  ${oneLine(one.name)}`).join('\n')}\n`;

const oneLine = (words: string): string => words.replace(/\s+/g, ' ');

export type ReadPalette =
  | { readonly ok: true; readonly palette: Palette }
  | { readonly ok: false; readonly faults: readonly Fault[] };

const fault = (path: string, sentence: string): ReadPalette => ({ ok: false, faults: [{ path, sentence }] });

/**
 * Reads a palette from a file's text: JSON, a table with a column of colours, or a line a colour. Never throws;
 * each fault says where and what to do.
 * @param id for a palette that has none, or that comes in beside itself
 * @param fileName gives a palette without a name one
 */
export function readPalette(text: string, id: PaletteId, fileName: string): ReadPalette {
  const plain = text.replace(/^\uFEFF/, '');
  if (plain.length > 1_000_000)
    return fault('(whole file)', 'This file is over a megabyte, which no palette is. Choose another.');
  if (plain.includes('\u0000'))
    return fault('(whole file)', 'This file is no text. Choose a palette as JSON, CSV or plain text.');
  if (plain.trimStart().startsWith('{')) return readJson(plain, id);
  const name = fileName.replace(/\.[^.]+$/, '').slice(0, 80) || 'Palette';
  const table = readTable(plain);
  const lines = table ?? readLines(plain);
  if (lines.faults.length > 0) return { ok: false, faults: lines.faults.slice(0, 20) };
  if (lines.colours.length === 0)
    return fault('(whole file)', 'There is no colour in this file. Write a line a colour: # and six digits, then its name.');
  if (lines.colours.length > MOST_COLOURS)
    return fault(
      '(whole file)',
      `This file has ${lines.colours.length} colours; ${MOST_COLOURS} are the most a palette has. Split it.`,
    );
  const read = paletteSchema.safeParse({ id, name: lines.name ?? name, colours: lines.colours });
  return read.success ? { ok: true, palette: read.data } : { ok: false, faults: faultsOf(read.error) };
}

function readJson(text: string, id: PaletteId): ReadPalette {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : 'it can’t be read';
    return fault('(whole file)', `This isn’t JSON (${reason}). Export the palette again and use that file.`);
  }
  const read = fileSchema.safeParse(data);
  return read.success ? { ok: true, palette: { ...read.data.palette, id } } : { ok: false, faults: faultsOf(read.error) };
}

interface Lines {
  readonly name: string | null;
  readonly colours: readonly { readonly name: string; readonly colour: string }[];
  readonly faults: readonly Fault[];
}

const COLOUR_HEADINGS = ['colour', 'color', 'hex'];

/** A table whose first line names a column of colours; null when it is none. */
function readTable(text: string): Lines | null {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const heading = COLOUR_HEADINGS.find((one) => meta.fields?.includes(one));
  if (heading === undefined) return null;
  const faults: Fault[] = [];
  const colours = data.flatMap((row, index) => {
    const cell = (row[heading] ?? '').trim();
    const colour = readHex(cell);
    if (colour) return [{ name: unquoted((row['name'] ?? '').trim()) || colour, colour }];
    faults.push({ path: `line ${index + 2}`, sentence: noColour(cell) });
    return [];
  });
  return { name: null, colours, faults };
}

/** `#c2470f  Name` or `194 71 15  Name`; what follows a semicolon is a remark, the first of them the palette's name. */
function readLines(text: string): Lines {
  let name: string | null = null;
  const faults: Fault[] = [];
  const colours = text.split(/\r\n?|\n/).flatMap((line, index) => {
    const words = line.trim();
    if (words.startsWith(';')) {
      name ??= words.slice(1).trim().slice(0, 80) || null;
      return [];
    }
    if (words === '') return [];
    const [, hex, called] = /^(#?[0-9a-f]{6}|#[0-9a-f]{3})(?:\s+(.*))?$/i.exec(words) ?? [];
    if (hex !== undefined) return [{ name: called?.trim() || hex, colour: readHex(hex) ?? hex }];
    const [, r, g, b, also] = /^(\d{1,3})[\s,]+(\d{1,3})[\s,]+(\d{1,3})(?:[\s,]+(.*))?$/.exec(words) ?? [];
    const bytes = [r, g, b].map(Number);
    if (b !== undefined && bytes.every((byte) => byte <= 255)) {
      const colour = `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
      return [{ name: also?.trim() || colour, colour }];
    }
    faults.push({ path: `line ${index + 1}`, sentence: noColour(words) });
    return [];
  });
  return { name, colours, faults };
}

const noColour = (words: string): string =>
  `“${words.slice(0, 40)}” is no colour. Write # and six digits, like #c2470f, then the name.`;
