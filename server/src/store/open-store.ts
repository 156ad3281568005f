import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import Database from 'libsql';
import { migrations } from './migrations';
import type { Tables } from './tables';

export type Store = Kysely<Tables>;

/** The file can't be used; the message says what to do about it. */
export class StoreError extends Error {
  override readonly name = 'StoreError';
}

/**
 * Opens the workshop's file, making it and bringing it up to date where needed.
 * @throws StoreError when it can't be opened or brought up to date; the file is left as it was
 */
export async function openStore(file: string): Promise<Store> {
  mkdirSync(dirname(file), { recursive: true });
  const store = new Kysely<Tables>({ dialect: new SqliteDialect({ database: connect(file) }) });
  const { error } = await new Migrator({
    db: store,
    provider: { getMigrations: () => Promise.resolve(migrations) },
  }).migrateToLatest();
  if (error) {
    await store.destroy();
    const reason = error instanceof Error ? error.message : String(error);
    throw new StoreError(
      `${file} can’t be brought up to date (${reason}). It may come from a newer Aurantia; update the program, or set AURANTIA_DATA to another folder.`,
    );
  }
  return store;
}

function connect(file: string): Database.Database {
  try {
    const database = new Database(file);
    // A power cut at the bench loses at most the save that was under way.
    for (const setting of ['journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON', 'busy_timeout = 5000'])
      database.pragma(setting);
    return database;
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    throw new StoreError(
      `${file} can’t be opened (${reason}). Check that the folder can be written to and that the file is Aurantia’s.`,
    );
  }
}
