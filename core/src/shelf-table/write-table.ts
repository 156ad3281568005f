import Papa from 'papaparse';
import type { Glitter } from '../glitter';
import type { ShelfItem } from '../stock';
import { tidy, wouldRun } from '../units';
import { cellOf, shelfColumns } from './columns';
import { cutsCell } from './cuts-cell';

/** The shelf as a table, a row an item. Cells that a spreadsheet would run as formulas are quoted. */
export function shelfCsv(items: readonly ShelfItem[]): string {
  const rows = items.map((item) =>
    shelfColumns.map((column) => {
      const value = cellOf(item, column);
      if (column.read === 'cuts') return cutsCell(value as Glitter['mixed']);
      if (typeof value === 'number' && typeof column.read === 'number') return tidy(value / column.read);
      return value ?? '';
    }),
  );
  return `${Papa.unparse({ fields: shelfColumns.map(({ name }) => name), data: rows }, { escapeFormulae: wouldRun, newline: '\n' })}\n`;
}
