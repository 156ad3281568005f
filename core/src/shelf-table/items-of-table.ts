import { readHex } from '../hex';
import { faultsOf, type Fault } from '../design';
import { inkSortNames } from '../ink';
import { shelfItemSchema, startingItem, withCut, withInkSort, type ItemOf, type ShelfItem, type ShelfKind } from '../stock';
import { metricUnits, readMeasure, tidy, unquoted } from '../units';
import { shelfColumns, withCell, type ShelfColumn } from './columns';
import { readCuts } from './cuts-cell';
import type { ShelfTable, TableMapping } from './read-table';

/** A row that becomes an item. */
export interface TableItem {
  /** line of the file, the headings being 1 */
  readonly line: number;
  readonly item: ShelfItem;
  /** the item of that name and kind that is on the shelf already, or null */
  readonly known: ShelfItem | null;
}

export interface TableItems {
  readonly items: readonly TableItem[];
  readonly faults: readonly Fault[];
}

const kinds: readonly ShelfKind[] = ['glitter', 'ink', 'paint', 'resin', 'glue', 'film'];
const kindNames = new Map<string, ShelfKind>(kinds.flatMap((kind) => [[kind, kind] as const, [`${kind}s`, kind] as const]));
/** Words for flakes that makers use. */
const flakeNames = new Map([
  ['opaque', 'solid'],
  ['see-through', 'tinted'],
  ['transparent', 'tinted'],
  ['translucent', 'tinted'],
  ['iridescent', 'opal'],
]);

/**
 * Turns the rows of a table into shelf items by a mapping. What a row doesn't say gets its usual value; a row
 * that can't be is a fault, and the others come in all the same. Of rows with one name the last counts.
 * @param newId makes an id for an item that isn't on the shelf yet
 */
export function itemsOfTable(
  table: ShelfTable,
  mapping: TableMapping,
  shelf: readonly ShelfItem[],
  newId: () => string,
): TableItems {
  const found = new Map<string, TableItem>();
  const faults: Fault[] = [];
  table.rows.forEach((row, index) => {
    const line = index + 2;
    const cells = new Map(
      mapping.flatMap((name, at) => (name === null || row[at] === '' ? [] : [[name, unquoted(row[at])] as const])),
    );
    const kind = kindNames.get((cells.get('kind') ?? 'glitter').toLowerCase());
    if (!kind) {
      faults.push({
        path: `line ${line}`,
        sentence: `“${cells.get('kind') ?? ''}” is no kind of item: write glitter, ink, paint, resin, glue or film.`,
      });
      return;
    }
    const known = shelf.find((item) => item.kind === kind && sameName(item.name, cells.get('name') ?? '')) ?? null;
    const read = shelfItemSchema.safeParse(itemOfCells(known ?? startingItem(kind, newId()), cells));
    if (read.success) {
      const key = `${kind} ${read.data.name.toLowerCase()}`;
      const before = found.get(key);
      found.delete(key);
      found.set(key, { line, item: before && !known ? { ...read.data, id: before.item.id } : read.data, known });
      if (before)
        faults.push({
          path: `line ${line}`,
          sentence: `“${read.data.name}” stands in line ${before.line} too; this line counts.`,
        });
    } else
      faults.push(...faultsOf(read.error).map(({ path, sentence }) => ({ path: `line ${line}, ${nameOf(path)}`, sentence })));
  });
  return { items: [...found.values()], faults };
}

const sameName = (one: string, other: string): boolean => one.trim().toLowerCase() === other.trim().toLowerCase();

/** A name that is missing stays the starting one only if the row has one: an item without a name is a fault. */
function itemOfCells(start: ShelfItem, cells: ReadonlyMap<string, string>): ShelfItem {
  const typed = readMeasure(cells.get('cut_mm') ?? '', 'plain', metricUnits, { unitName: 'mm' });
  const cut = typed.ok ? typed.value : null;
  // The cut first: with it come its usual thickness and share, until other columns say otherwise.
  const begun = start.kind === 'glitter' && cut !== null ? withCut(start satisfies ItemOf<'glitter'>, cut) : sorted(start, cells);
  const named = { ...begun, name: cells.get('name') ?? '' };
  return shelfColumns
    .filter((column) => column.name !== 'kind' && column.kinds.includes(start.kind) && cells.has(column.name))
    .reduce<ShelfItem>((item, column) => withCell(item, column, valueOf(column, cells.get(column.name) ?? '')), named);
}

/** An ink's sort first: with it comes how it takes light. */
function sorted(start: ShelfItem, cells: ReadonlyMap<string, string>): ShelfItem {
  const sort = inkSortNames.find((one) => one === cells.get('ink_sort')?.toLowerCase());
  return start.kind === 'ink' && sort ? withInkSort(start, sort) : start;
}

function valueOf(column: ShelfColumn, cell: string): unknown {
  const { read, path } = column;
  if (read === 'yes or no') return /^(yes|true|1)$/i.test(cell) ? true : /^(no|false|0)$/i.test(cell) ? false : cell;
  if (read === 'cuts') return readCuts(cell) ?? cell;
  if (read === 'colour') return readHex(cell) ?? cell;
  if (read === 'words')
    return path === 'flake.kind' ? (flakeNames.get(cell.toLowerCase()) ?? cell.toLowerCase()) : wordsOf(path, cell);
  const figure = readMeasure(cell, 'plain', metricUnits, { unitName: column.unit });
  return figure.ok ? tidy(figure.value * read) : cell;
}

const wordsOf = (path: string, cell: string): string =>
  ['finish', 'basis', 'type', 'sort', 'way'].includes(path) ? cell.toLowerCase() : cell;

const nameOf = (path: string): string =>
  shelfColumns.find((column) => column.path === path || (path === 'flake.colour' && column.path === 'colour'))?.words ?? path;
