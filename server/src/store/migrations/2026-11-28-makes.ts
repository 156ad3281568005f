import { sql, type Kysely } from 'kysely';

/** Cups that were really made, each with its log. A make never changes, nor does a line of a log once it is written. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('make')
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('design_id', 'text', (column) => column.notNull())
    .addColumn('number', 'integer', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('document', 'text', (column) => column.notNull())
    // What a list says of it: written once, but for how it stands.
    .addColumn('name', 'text', (column) => column.notNull())
    .addColumn('label', 'text', (column) => column.notNull())
    .addColumn('cups', 'integer', (column) => column.notNull())
    .addColumn('standing', 'text', (column) => column.notNull())
    // 0 on the bench, 1 once all coats are on, 2 once it is given up.
    .addColumn('over', 'integer', (column) => column.notNull().defaultTo(0))
    .addUniqueConstraint('make_of_design', ['design_id', 'number'])
    .execute();
  await db.schema
    .createTable('make_entry')
    .addColumn('row', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('make_id', 'text', (column) => column.notNull().references('make.id').onDelete('cascade'))
    .addColumn('id', 'text', (column) => column.notNull().unique())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('document', 'text', (column) => column.notNull())
    .execute();
  await db.schema.createIndex('make_entry_of').on('make_entry').columns(['make_id', 'row']).execute();
  await db.schema.createIndex('make_open').on('make').columns(['over', 'at']).execute();
  await sql`
    create trigger make_is_final before update of id, design_id, number, at, document on make
    begin select raise(abort, 'a make never changes'); end`.execute(db);
  await sql`
    create trigger make_entry_is_final before update on make_entry
    begin select raise(abort, 'a line of a log never changes'); end`.execute(db);
}
