import type { Kysely } from 'kysely';

/** What came to and went from each shelf item, and why. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('ledger')
    .addColumn('row', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('item_id', 'text', (column) => column.notNull().references('shelf_item.id'))
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('change', 'real')
    .addColumn('left_after', 'real')
    .addColumn('why', 'text', (column) => column.notNull())
    .execute();
  await db.schema.createIndex('ledger_of_item').on('ledger').column('item_id').execute();
}
