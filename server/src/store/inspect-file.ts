import { closeSync, copyFileSync, existsSync, mkdtempSync, openSync, readSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import Database from 'libsql';
import { storeError, StoreError, troubleOf } from './store-error';

const HEADER = 'SQLite format 3\0';

/** What stands where the workshop's file should be. */
export interface FileState {
  /** nothing yet, or a file that a first start never got to fill */
  readonly isNew: boolean;
  /** migrations it has been through */
  readonly applied: readonly string[];
}

/**
 * Looks at a workshop's file without writing a byte to it: whether it is one, is whole, and isn't
 * from a newer program.
 * @throws StoreError when it can't be used; the message says what to do
 */
export function inspectFile(file: string, known: readonly string[]): FileState {
  if (!existsSync(file)) return { isNew: true, applied: [] };
  try {
    if (statSync(file).size === 0) return { isNew: true, applied: [] };
    if (firstBytes(file) !== HEADER) throw storeError(file, 'foreign');
    return lookUnchanged(file, known);
  } catch (error) {
    if (error instanceof StoreError) throw error;
    throw storeError(file, troubleOf(error), error);
  }
}

function firstBytes(file: string): string {
  const handle = openSync(file, 'r');
  try {
    const bytes = Buffer.alloc(HEADER.length);
    readSync(handle, bytes, 0, bytes.length, 0);
    return bytes.toString('latin1');
  } finally {
    closeSync(handle);
  }
}

/**
 * Read-only where that can be. A program that was killed may have left a log that has to be worked in first, which nobody
 * can who only reads: then a copy is looked at.
 */
function lookUnchanged(file: string, known: readonly string[]): FileState {
  try {
    return look(file, new Database(`${pathToFileURL(file).href}?mode=ro`, { timeout: 2 }), known);
  } catch (error) {
    if (error instanceof StoreError || troubleOf(error) !== 'read-only') throw error;
  }
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-look-'));
  const copy = join(folder, 'copy.sqlite');
  try {
    for (const part of ['', '-wal', '-journal']) if (existsSync(file + part)) copyFileSync(file + part, copy + part);
    return look(file, new Database(copy), known);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function look(file: string, database: Database.Database, known: readonly string[]): FileState {
  try {
    const column = (query: string): readonly string[] =>
      database
        .prepare(query)
        .raw(true)
        .all()
        .map((row) => String((row as unknown[])[0]));
    if (column('pragma quick_check')[0] !== 'ok') throw storeError(file, 'damaged');
    const tables = column(`select name from sqlite_master where type = 'table' and name not like 'sqlite_%'`);
    if (tables.length === 0) return { isNew: true, applied: [] };
    if (!tables.includes('kysely_migration')) throw storeError(file, 'foreign');
    const applied = column('select name from kysely_migration order by name');
    if (applied.some((name) => !known.includes(name))) throw storeError(file, 'newer');
    return { isNew: applied.length === 0, applied };
  } finally {
    database.close();
  }
}
