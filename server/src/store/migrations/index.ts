import type { Migration } from 'kysely';
import * as firstTables from './2026-11-25-first-tables';

/** In the order of their dates; a landed one is never edited. */
export const migrations: Record<string, Migration> = {
  '2026-11-25-first-tables': firstTables,
};
