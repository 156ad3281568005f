import type { Kysely } from 'kysely';

/** What a make has still to take from the shelf, JSON: derived from its plan and log; null until it is worked out. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema.alterTable('make').addColumn('needs', 'text').execute();
}
