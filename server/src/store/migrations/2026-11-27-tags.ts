import type { Kysely } from 'kysely';

/** Designs are kept in order by words of the maker's own, and what is done with stands aside without being removed. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema.alterTable('design').addColumn('archived_at', 'text').execute();
  await db.schema
    .createTable('design_tag')
    .addColumn('design_id', 'text', (column) => column.notNull().references('design.id').onDelete('cascade'))
    .addColumn('tag', 'text', (column) => column.notNull())
    .addColumn('found_by', 'text', (column) => column.notNull())
    .addPrimaryKeyConstraint('design_tag_one', ['design_id', 'tag'])
    .execute();
  await db.schema.createIndex('design_by_tag').on('design_tag').columns(['tag', 'design_id']).execute();
}
