import Papa from 'papaparse';
import * as z from 'zod';
import { faultsOf, type Fault } from '../design';
import { readFigure, unquoted, wouldRun } from '../units';
import { cupSchema, cupShapes, type Cup } from '../vessel';

export const CUPS_FORMAT = 'aurantia cups';

const cupsFileSchema = z.strictObject({
  format: z.literal(CUPS_FORMAT, { error: `This is no list of cups: its format must say “${CUPS_FORMAT}”.` }),
  version: z.literal(1, { error: 'This list of cups is of another version; this program reads version 1.' }),
  cups: z.array(cupSchema).min(1, 'There is no cup in this file.').max(500, 'Five hundred cups are the most one file brings.'),
});

export type ReadCups =
  | { readonly ok: true; readonly cups: readonly Cup[] }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Cups as JSON, everything about them. */
export const cupsJson = (cups: readonly Cup[]): string =>
  `${JSON.stringify({ format: CUPS_FORMAT, version: 1, cups }, null, 2)}\n`;

const READINGS = 6;
const HANDLE = ['angle', 'width', 'from', 'to', 'length', 'girth'] as const;
const columns = [
  'name',
  'kind',
  'material',
  'volume_ml',
  'lip_strip_mm',
  ...Array.from({ length: READINGS }, (_, i) => [`height_${i + 1}_mm`, `round_${i + 1}_mm`]).flat(),
  'recess_depth_mm',
  'recess_diameter_mm',
  ...HANDLE.map((field) => `handle_${field}_${field === 'angle' ? 'deg' : 'mm'}`),
  'seam',
  'typical',
] as const;

/** Cups as a table, a row a cup. Cells that a spreadsheet would run as formulas are quoted. */
export function cupsCsv(cups: readonly Cup[]): string {
  const rows = cups.map((cup) => [
    cup.name,
    cup.shape,
    cup.material,
    cup.volume ?? '',
    cup.lipStrip,
    ...Array.from({ length: READINGS }, (_, i) => {
      const station = cup.stations.at(i);
      return i < cup.stations.length && station ? [station.height, station.circumference] : ['', ''];
    }).flat(),
    cup.recess?.depth ?? '',
    cup.recess?.diameter ?? '',
    ...HANDLE.map((field) => cup.handle?.[field] ?? ''),
    cup.seam,
    cup.typical ? 'yes' : 'no',
  ]);
  return `${Papa.unparse({ fields: [...columns], data: rows }, { escapeFormulae: wouldRun, newline: '\n' })}\n`;
}

/** Reads cups from a file's text, JSON or a table. Never throws; each fault says where and what to do. */
export function readCups(text: string): ReadCups {
  const plain = text.replace(/^\uFEFF/, '');
  return plain.trimStart().startsWith('{') ? readJson(plain) : readTable(plain);
}

function readJson(text: string): ReadCups {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : 'it can’t be read';
    return fault('(whole file)', `This isn’t JSON (${reason}). Export the cups again and use that file.`);
  }
  const read = cupsFileSchema.safeParse(data);
  return read.success ? { ok: true, cups: read.data.cups } : { ok: false, faults: faultsOf(read.error) };
}

/** A table with any of the usual separators, points or commas in its figures, its columns in any order. */
function readTable(text: string): ReadCups {
  if (text.length > 2_000_000)
    return fault('(whole file)', 'This table is over two megabytes. Five hundred cups are the most one file brings.');
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const missing = ['name', 'kind', 'height_2_mm', 'round_1_mm'].filter((column) => !meta.fields?.includes(column));
  if (missing.length > 0)
    return fault(
      '(first line)',
      `This is no table of cups: the column ${missing.map((column) => `“${column}”`).join(' and ')} is missing. Export a cup to see how the table looks.`,
    );
  if (data.length === 0) return fault('(whole file)', 'There is no cup in this table.');
  if (data.length > 500)
    return fault('(whole file)', `This table has ${data.length} rows; five hundred cups are the most one file brings.`);
  const cups: Cup[] = [];
  const faults: Fault[] = [];
  data.forEach((row, index) => {
    const read = cupSchema.safeParse(cupOfRow(row));
    if (read.success) cups.push(read.data);
    else faults.push(...faultsOf(read.error).map(({ path, sentence }) => ({ path: `row ${index + 2}, ${path}`, sentence })));
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, cups };
}

function cupOfRow(row: Readonly<Record<string, string>>): unknown {
  const words = (column: string) => unquoted((row[column] ?? '').trim());
  const figure = (column: string) => (words(column) === '' ? null : (readFigure(words(column)) ?? words(column)));
  const handle = Object.fromEntries(
    HANDLE.map((field) => [field, figure(`handle_${field}_${field === 'angle' ? 'deg' : 'mm'}`)]),
  );
  const kind = words('kind').toLowerCase();
  return {
    name: words('name'),
    shape: (cupShapes as readonly string[]).includes(kind) ? kind : words('kind'),
    material: words('material').toLowerCase() || 'steel',
    volume: figure('volume_ml'),
    lipStrip: figure('lip_strip_mm') ?? 10,
    stations: Array.from({ length: READINGS }, (_, i) => ({
      height: i === 0 ? (figure('height_1_mm') ?? 0) : figure(`height_${i + 1}_mm`),
      circumference: figure(`round_${i + 1}_mm`),
    })).filter(({ height, circumference }, i) => i === 0 || height !== null || circumference !== null),
    recess:
      figure('recess_depth_mm') === null ? null : { depth: figure('recess_depth_mm'), diameter: figure('recess_diameter_mm') },
    handle: handle['width'] === null ? null : handle,
    seam: words('seam'),
    typical: /^(yes|true|1)$/i.test(words('typical')),
  };
}

const fault = (path: string, sentence: string): ReadCups => ({ ok: false, faults: [{ path, sentence }] });
