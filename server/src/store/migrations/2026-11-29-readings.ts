import type { Kysely } from 'kysely';

/** What was weighed and waited for, in terms of what it teaches; and what the room was like. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('reading')
    .addColumn('row', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('id', 'text', (column) => column.notNull().unique())
    // The unknown it is of.
    .addColumn('unknown', 'text', (column) => column.notNull())
    .addColumn('make_id', 'text', (column) => column.notNull().references('make.id').onDelete('cascade'))
    .addColumn('coat', 'text', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('document', 'text', (column) => column.notNull())
    // What its maker said of it when asked: nothing, stands, slip.
    .addColumn('said', 'text', (column) => column.notNull().defaultTo('nothing'))
    .execute();
  await db.schema.createIndex('reading_of').on('reading').columns(['unknown', 'row']).execute();
  await db.schema.createIndex('reading_from').on('reading').columns(['make_id', 'coat']).execute();
  await db.schema
    .createTable('room')
    // ms since 1970
    .addColumn('at', 'integer', (column) => column.primaryKey())
    .addColumn('celsius', 'real', (column) => column.notNull())
    .addColumn('humidity', 'real')
    .execute();
}
