import type { Kysely } from 'kysely';

/** What a design's picture was painted from, in short: as long as it is the same, so is the picture. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .alterTable('summary')
    .addColumn('painted', 'text', (column) => column.notNull().defaultTo(''))
    .execute();
}
