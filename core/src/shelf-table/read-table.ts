import Papa from 'papaparse';
import { shelfColumns } from './columns';

/** A table as it lies in a file, before anyone knows what its columns mean. */
export interface ShelfTable {
  readonly headings: readonly string[];
  /** a row a line of the file, as many cells as headings */
  readonly rows: readonly (readonly string[])[];
}

/** Which column of the table says what: names of `shelfColumns` by heading's place; null for a column that is left out. */
export type TableMapping = readonly (string | null)[];

/** The file can’t be read as a table; the sentence says what to do. */
export class TableError extends Error {
  override readonly name = 'TableError';
}

const MOST_BYTES = 5_000_000;
export const MOST_ROWS = 2000;

/**
 * Reads a table with any of the usual separators. Everything stays text: nothing in a cell is ever run.
 * @throws TableError when it is empty, no text, or holds more than a shelf does
 */
export function readShelfTable(text: string): ShelfTable {
  if (text.length > MOST_BYTES)
    throw new TableError('This table is over five megabytes. Split it and bring the parts in one after the other.');
  if (text.includes('\u0000'))
    throw new TableError('This file is no text. Save the table as CSV from your spreadsheet and choose that file.');
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [headings, ...rows] = data.map((row) => row.map((cell) => cell.trim()));
  if (!headings || rows.length === 0)
    throw new TableError('There is no item in this table. Its first line names the columns, each further line is an item.');
  if (rows.length > MOST_ROWS)
    throw new TableError(
      `This table has ${rows.length.toLocaleString('en')} rows; ${MOST_ROWS.toLocaleString('en')} are the most one file brings. Split it and bring the parts in one after the other.`,
    );
  return { headings, rows: rows.map((row) => headings.map((_, at) => row.at(at) ?? '')) };
}

const plain = (heading: string): string =>
  heading
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** What each heading most likely means: our own names first, then what others call it; no meaning twice. */
export function guessedMapping(headings: readonly string[]): TableMapping {
  const mapping: (string | null)[] = headings.map(() => null);
  const take = (fits: (heading: string, column: (typeof shelfColumns)[number]) => boolean) =>
    headings.forEach((heading, at) => {
      if (mapping[at] !== null) return;
      const found = shelfColumns.find((column) => !mapping.includes(column.name) && fits(plain(heading), column));
      if (found) mapping[at] = found.name;
    });
  take((heading, { name }) => heading === plain(name));
  take((heading, { name }) => heading === plain(name).replace(/ (mm|ml|um|percent|min)$/, ''));
  take((heading, { hints }) => hints.includes(heading));
  take((heading, { hints }) => hints.some((hint) => hint.length > 2 && ` ${heading} `.includes(` ${hint} `)));
  return mapping;
}
