import { pathToFileURL } from 'node:url';
import { Kysely, SqliteDialect } from 'kysely';
import Database from 'libsql';
import type { Store } from './open-store';
import type { Tables } from './tables';

/** Opens a workshop's file to be read beside the program that writes it: nothing is written, and nobody is kept waiting. */
export const openReader = (file: string): Store =>
  new Kysely<Tables>({ dialect: new SqliteDialect({ database: new Database(`${pathToFileURL(file).href}?mode=ro`) }) });
