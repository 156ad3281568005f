import { existsSync, renameSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'libsql';
import { storeError } from './store-error';

/**
 * Sets aside a whole, checked copy of the file before an upgrade, made by SQLite itself so that it
 * holds what still lies in the log. An upgrade that was cut off finds its copy already there.
 * @returns where the copy lies
 */
export function setAside(database: Database.Database, file: string, last: string): string {
  const copy = join(dirname(file), `workshop-before-upgrade-from-${last}.sqlite`);
  const half = `${copy}.part`;
  if (existsSync(copy)) return copy;
  rmSync(half, { force: true });
  database.prepare('vacuum into ?').run(half);
  const check = new Database(half);
  try {
    const [row] = check.prepare('pragma integrity_check').raw(true).all() as [unknown][];
    if (row[0] !== 'ok') throw storeError(file, 'damaged');
  } finally {
    check.close();
  }
  renameSync(half, copy);
  return copy;
}
