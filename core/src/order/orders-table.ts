import Papa from 'papaparse';
import type { z } from 'zod';
import type { DesignId } from '../design';
import { unquoted, wouldRun } from '../units';
import { orderSchema, orderStates, type Order, type OrderId } from './order';

/** Columns of a table of orders, as they go out and come in. */
const COLUMNS = ['who', 'design', 'cups', 'due', 'at', 'price', 'state', 'note'] as const;
type Column = (typeof COLUMNS)[number];

/** A design as an order names it. */
export interface NamedDesign {
  readonly id: DesignId;
  readonly name: string;
}

/** Orders as a table, a line each; what a spreadsheet would run as a formula is kept from it. */
export function ordersCsv(orders: readonly Order[], designs: readonly NamedDesign[]): string {
  const nameOf = (id: DesignId) => designs.find((one) => one.id === id)?.name ?? id;
  const data = orders.map(({ who, design, cups, due, price, state, note }) => [
    who,
    nameOf(design),
    cups,
    due?.day ?? '',
    due?.time ?? '',
    price ?? '',
    state,
    note,
  ]);
  return `${Papa.unparse({ fields: [...COLUMNS], data }, { escapeFormulae: wouldRun, newline: '\n' })}\n`;
}

/** The file can’t be read as orders; the sentence says what to do. */
export class OrdersTableError extends Error {
  override readonly name = 'OrdersTableError';
}

/** What a table brings: orders, and of each line that is none what is wrong with it. */
export interface OrdersRead {
  readonly orders: readonly Order[];
  readonly refused: readonly { readonly line: number; readonly says: string }[];
}

export const MOST_ORDERS = 1000;
const MOST_BYTES = 2_000_000;

/**
 * Reads orders off a table with any of the usual separators, whatever the order of its columns.
 * @param newId gives each its id
 * @throws OrdersTableError where it is no table of orders at all
 */
export function readOrders(text: string, designs: readonly NamedDesign[], newId: () => OrderId): OrdersRead {
  if (/^\uFEFF?\s*BEGIN:VCALENDAR/i.test(text))
    throw new OrdersTableError(
      'This is a calendar file, and orders aren’t in one. Save them as a table (CSV), with the design in a column.',
    );
  if (text.length > MOST_BYTES || text.includes('\u0000'))
    throw new OrdersTableError('This is no table of orders: it is too long, or no text. Save it as CSV from your spreadsheet.');
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
  });
  const headings = meta.fields ?? [];
  if (!headings.includes('design') || data.length === 0)
    throw new OrdersTableError(
      `Its first line names the columns (${COLUMNS.join(', ')}), and “design” is the least there has to be.`,
    );
  if (data.length > MOST_ORDERS)
    throw new OrdersTableError(`It has ${data.length} lines; ${MOST_ORDERS} are the most one file brings.`);
  const orders: Order[] = [];
  const refused: { line: number; says: string }[] = [];
  data.forEach((row, at) => {
    const cell = (column: Column) => unquoted((row[column] ?? '').trim());
    const read = orderOf(cell, designs, newId());
    if ('says' in read) refused.push({ line: at + 2, says: read.says });
    else orders.push(read.order);
  });
  return { orders, refused };
}

function orderOf(
  cell: (column: Column) => string,
  designs: readonly NamedDesign[],
  id: OrderId,
): { order: Order } | { says: string } {
  const name = cell('design');
  const called = designs.filter((one) => one.name.trim().toLocaleLowerCase() === name.toLocaleLowerCase());
  if (called.length === 0) return { says: `There is no design called “${name}”. Name it as it is called here.` };
  if (called.length > 1) return { says: `${called.length} designs are called “${name}”. Give them names of their own first.` };
  const day = cell('due');
  const read = orderSchema.safeParse({
    id,
    who: cell('who'),
    design: called[0].id,
    cups: cell('cups') === '' ? 1 : Number(cell('cups')),
    due: day === '' ? null : { day, time: cell('at') || '18:00' },
    price: cell('price') === '' ? null : Number(cell('price').replace(',', '.')),
    state: cell('state') === '' ? 'taken' : orderStates.find((one) => one === cell('state').toLowerCase()),
    note: cell('note'),
  } satisfies { readonly [Field in keyof z.input<typeof orderSchema>]?: unknown });
  return read.success ? { order: read.data } : { says: read.error.issues.map(({ message }) => message).join(' ') };
}
