import type { Kysely } from 'kysely';

/** Jars, cups, palettes and settings count their revisions, so that none is written over unseen; what can't be read is set aside. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const table of ['shelf_item', 'cup', 'palette', 'workshop'])
    await db.schema
      .alterTable(table)
      .addColumn('revision', 'integer', (column) => column.notNull().defaultTo(1))
      .execute();
  // Rows that couldn't be read when something else took their place.
  await db.schema
    .createTable('set_aside')
    .addColumn('row', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('kind', 'text', (column) => column.notNull())
    .addColumn('id', 'text', (column) => column.notNull())
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .execute();
}
