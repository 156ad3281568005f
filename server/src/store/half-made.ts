import type Database from 'libsql';

/**
 * Earlier programs made their tables one statement at a time: killed in between, they left some
 * without noting it, and could never start again. What such a start left is empty; it is taken away
 * so that the upgrade can make it whole.
 */
const made: Readonly<Record<string, readonly string[]>> = {
  '2026-11-25-first-tables': ['revision', 'design', 'shelf_item', 'cup', 'workshop'],
  '2026-11-25-ledger': ['ledger'],
  '2026-11-25-palettes': ['palette'],
};

/** Takes away empty tables of upgrades that were begun and never finished. To be called before migrating. */
export function clearHalfMade(database: Database.Database, applied: readonly string[]): void {
  const tables = Object.entries(made).flatMap(([name, tables]) => (applied.includes(name) ? [] : tables));
  if (tables.length === 0) return;
  database.exec('begin immediate');
  try {
    for (const table of tables) {
      const stands = database.prepare(`select 1 from sqlite_master where type = 'table' and name = ?`).get(table);
      if (stands && !database.prepare(`select 1 from ${table} limit 1`).get()) database.exec(`drop table ${table}`);
    }
    database.exec('commit');
  } catch (error) {
    if (database.inTransaction) database.exec('rollback');
    throw error;
  }
}
