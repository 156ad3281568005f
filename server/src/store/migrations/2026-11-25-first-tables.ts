import { sql, type Kysely } from 'kysely';

/** Designs with immutable revisions, the shelf, the cups and the workshop's settings. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('design')
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('latest', 'integer', (column) => column.notNull())
    .addColumn('kept_at', 'text', (column) => column.notNull())
    .addColumn('removed_at', 'text')
    .execute();
  await db.schema
    .createTable('revision')
    .addColumn('row', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('design_id', 'text', (column) => column.notNull().references('design.id'))
    .addColumn('number', 'integer', (column) => column.notNull())
    .addColumn('parent', 'integer')
    .addColumn('document', 'text', (column) => column.notNull())
    .addColumn('kept_at', 'text', (column) => column.notNull())
    .addUniqueConstraint('revision_number', ['design_id', 'number'])
    .execute();
  // A revision is history: the file itself refuses to rewrite it.
  await sql`create trigger revision_is_final before update on revision begin select raise(abort, 'a revision is never changed'); end`.execute(
    db,
  );
  await sql`create trigger revision_stays before delete on revision begin select raise(abort, 'a revision is never deleted'); end`.execute(
    db,
  );
  for (const table of ['shelf_item', 'cup']) {
    await db.schema
      .createTable(table)
      .addColumn('place', 'integer', (column) => column.primaryKey().autoIncrement())
      .addColumn('id', 'text', (column) => column.notNull().unique())
      .$call((builder) => (table === 'shelf_item' ? builder.addColumn('kind', 'text', (column) => column.notNull()) : builder))
      .addColumn('document', 'text', (column) => column.notNull())
      .addColumn('removed_at', 'text')
      .execute();
  }
  await db.schema
    .createTable('workshop')
    .addColumn('id', 'integer', (column) => column.primaryKey())
    .addColumn('settings', 'text', (column) => column.notNull())
    .execute();
}
