import { sql } from 'kysely';
import type { Store } from '../store/open-store';

/** Another look of the pictures, or other lines, make all kept ones old. */
export const PROGRAM = 1;

/** What changes whenever one of a list is kept, taken away or brought back. */
const listStamp = (table: 'shelf_item' | 'cup') => sql<string>`
  (select coalesce(sum(revision), 0) || '.' || count(*) filter (where removed_at is null) || '.' ||
    coalesce(max(removed_at), '') from ${sql.table(table)})`;

/**
 * Says which state a workshop is in as far as plans hang on it: the shelf, the settings, the day. As long as it is the
 * same, so is all that is worked out from the same design.
 */
export async function stampOf(store: Store, today = new Date().toISOString().slice(0, 10)): Promise<string> {
  const { shelf, movement, settings } = await standingOf(store);
  return `${PROGRAM}.${shelf}.${movement}.${settings}.${today}`;
}

/** How far each of what a page has of the workshop has come. */
export interface Standing {
  readonly shelf: string;
  readonly cups: string;
  /** the last line of the ledger; 0 while there is none */
  readonly movement: number;
  /** how often the settings were kept */
  readonly settings: number;
}

export async function standingOf(store: Store): Promise<Standing> {
  const { rows } = await sql<Standing>`
    select ${listStamp('shelf_item')} as shelf, ${listStamp('cup')} as cups,
      coalesce((select max(row) from ledger), 0) as movement,
      coalesce((select revision from workshop), 0) as settings`.execute(store);
  return rows[0];
}
