import { chmodSync, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { Kysely, Migrator, sql } from 'kysely';
import Database from 'libsql';
import { clearHalfMade } from './half-made';
import { ImmediateDialect } from './immediate-dialect';
import { inspectFile } from './inspect-file';
import { migrations } from './migrations';
import { setAside } from './set-aside';
import { storeError, StoreError, troubleOf } from './store-error';
import type { Tables } from './tables';

export type Store = Kysely<Tables>;

/** How long a writer waits for another one, ms. */
const PATIENCE = 5000;

/**
 * Opens the workshop's file, making it and bringing it up to date where needed; before an upgrade a
 * checked copy is set aside. A kill at any moment leaves a file that the next start can open.
 * @throws StoreError when it can't be opened or brought up to date; the file is left as it was
 */
export async function openStore(file: string): Promise<Store> {
  const known = Object.keys(migrations);
  try {
    ownFolder(dirname(file));
    const { isNew, applied } = inspectFile(file, known);
    const database = connect(file);
    try {
      if (applied.length < known.length) {
        if (!isNew) setAside(database, file, applied[applied.length - 1]);
        clearHalfMade(database, applied);
      }
      return await upToDate(database);
    } catch (error) {
      if (database.open) database.close();
      throw error;
    }
  } catch (error) {
    if (error instanceof StoreError) throw error;
    throw storeError(file, troubleOf(error), error);
  }
}

async function upToDate(database: Database.Database): Promise<Store> {
  const store = new Kysely<Tables>({ dialect: new ImmediateDialect({ database }) });
  const migrator = new Migrator({ db: store, provider: { getMigrations: () => Promise.resolve(migrations) } });
  const { error } = await migrator.migrateToLatest();
  if (error) {
    await store.destroy();
    throw error;
  }
  return store;
}

/** Closes the file with all that lay in its log written into it, so that the one file is the whole workshop. */
export async function closeStore(store: Store): Promise<void> {
  await sql`pragma wal_checkpoint(truncate)`.execute(store);
  await store.destroy();
}

/** The data folder is the maker's alone: what a cup is worth and who ordered it is nobody else's affair. */
function ownFolder(folder: string): void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  // A folder that holds other things too is shared on purpose; only our own is closed to others.
  if (readdirSync(folder).every((name) => /^(workshop|running|backups)\b/.test(name))) chmodSync(folder, 0o700);
}

function connect(file: string): Database.Database {
  const database = new Database(file);
  // A power cut at the bench loses at most the save that was under way.
  for (const setting of [`busy_timeout = ${PATIENCE}`, 'journal_mode = WAL', 'synchronous = FULL', 'foreign_keys = ON'])
    database.pragma(setting);
  for (const one of [file, `${file}-wal`, `${file}-shm`]) {
    const mode = existsSync(one) ? statSync(one).mode : 0;
    if ((mode & 0o077) !== 0) chmodSync(one, mode & 0o700);
  }
  return database;
}
