import { sql, type Kysely } from 'kysely';
import { wordsInRows } from '../../makes/make-words';

/** Makes are found by words: of their design, jars and lots, and of what was written at the bench. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('make_words')
    .addColumn('make_id', 'text', (column) => column.primaryKey().references('make.id').onDelete('cascade'))
    .addColumn('words', 'text', (column) => column.notNull())
    .execute();
  const makes = await sql<{ id: string; document: string }>`select id, document from make`.execute(db);
  for (const { id, document } of makes.rows) {
    const entries = await sql<{ document: string }>`select document from make_entry where make_id = ${id}`.execute(db);
    const words = wordsInRows(
      document,
      entries.rows.map((row) => row.document),
    );
    await sql`insert into make_words (make_id, words) values (${id}, ${words})`.execute(db);
  }
}
