import type { Kysely } from 'kysely';

/** Devices that were let in from the network, and whether the workshop is shared at all. Neither goes into a backup. */
export async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('paired')
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('name', 'text', (column) => column.notNull())
    .addColumn('sees', 'text', (column) => column.notNull())
    // Of what the device shows each time: whoever reads this file can't become that device.
    .addColumn('proof', 'text', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('seen', 'text', (column) => column.notNull())
    .execute();
  await db.schema
    .createTable('sharing')
    .addColumn('id', 'integer', (column) => column.primaryKey())
    .addColumn('shared', 'integer', (column) => column.notNull())
    .execute();
}
