import type { Kysely } from 'kysely';

/** Photos of makes: the pictures lie in a folder beside the file, here is what is known of them. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('photo')
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('make_id', 'text', (column) => column.notNull().references('make.id').onDelete('cascade'))
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('coat', 'text')
    .addColumn('width', 'integer', (column) => column.notNull())
    .addColumn('height', 'integer', (column) => column.notNull())
    // What was read off it, JSON.
    .addColumn('reading', 'text')
    .execute();
  await db.schema.createIndex('photo_of').on('photo').columns(['make_id', 'at']).execute();
}
