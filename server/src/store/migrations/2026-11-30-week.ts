import type { Kysely } from 'kysely';

/** Orders, a document each; and what the workshop writes down of its week and of its money, one document of either. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('cup_order')
    .addColumn('place', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('id', 'text', (column) => column.notNull().unique())
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('removed_at', 'text')
    .addColumn('revision', 'integer', (column) => column.notNull().defaultTo(1))
    .execute();
  await db.schema
    .createTable('book')
    .addColumn('name', 'text', (column) => column.primaryKey())
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('revision', 'integer', (column) => column.notNull())
    .execute();
}
