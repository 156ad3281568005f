/**
 * How cells that a spreadsheet would run as formulas are kept from it: with a quote before them. A cell that has such
 * a quote of its own gets another, so that each comes back as it was.
 */
export const wouldRun = /^'*[=+\-@\t\r]/;

/** The cell as its maker wrote it: without the quote that was ours. */
export const unquoted = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);

/** A table as it leaves: without this mark before it, office programs take its letters for those of the machine's own country. */
export const forSpreadsheets = (table: string): string => `\ufeff${table}`;
