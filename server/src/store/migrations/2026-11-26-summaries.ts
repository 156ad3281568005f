import { sql, type Kysely } from 'kysely';
import { namesInText } from '../../designs/names-of';

/** Designs are listed by summaries: name and cup beside them, what takes work (line, picture) in a table of its own. */
export async function up(db: Kysely<unknown>): Promise<void> {
  for (const column of ['name', 'cup', 'found_by'])
    await db.schema
      .alterTable('design')
      .addColumn(column, 'text', (text) => text.notNull().defaultTo(''))
      .execute();
  await db.schema.createIndex('design_by_day').on('design').columns(['removed_at', 'kept_at']).execute();
  await db.schema
    .createTable('summary')
    .addColumn('design_id', 'text', (column) => column.primaryKey().references('design.id').onDelete('cascade'))
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('stamp', 'text', (column) => column.notNull())
    .addColumn('line', 'text', (column) => column.notNull())
    .addColumn('level', 'text', (column) => column.notNull())
    .addColumn('width', 'real', (column) => column.notNull())
    .addColumn('height', 'real', (column) => column.notNull())
    .addColumn('picture', 'blob', (column) => column.notNull())
    .execute();
  // Versions that two windows disagreed about: they stay, however soon another came.
  await db.schema
    .createTable('held_revision')
    .addColumn('design_id', 'text', (column) => column.notNull().references('design.id'))
    .addColumn('number', 'integer', (column) => column.notNull())
    .addPrimaryKeyConstraint('held_revision_one', ['design_id', 'number'])
    .execute();
  // What changes a design stays as it was written; but not every keystroke of a sitting stays for ever.
  await sql`drop trigger revision_stays`.execute(db);
  await sql`create trigger newest_revision_stays before delete on revision
    when old.number = (select latest from design where id = old.design_id)
    begin select raise(abort, 'the newest revision of a design is never deleted'); end`.execute(db);
  const { rows } = await sql<{ id: string; document: string }>`
    select design.id, revision.document from design
    join revision on revision.design_id = design.id and revision.number = design.latest`.execute(db);
  for (const { id, document } of rows) {
    const { name, cup, found_by } = namesInText(document);
    await sql`update design set name = ${name}, cup = ${cup}, found_by = ${found_by} where id = ${id}`.execute(db);
  }
}
