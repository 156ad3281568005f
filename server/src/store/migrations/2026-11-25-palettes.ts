import type { Kysely } from 'kysely';

/** Palettes, a document each. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('palette')
    .addColumn('place', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('id', 'text', (column) => column.notNull().unique())
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('removed_at', 'text')
    .execute();
}
