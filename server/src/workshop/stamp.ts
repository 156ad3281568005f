import { sql } from 'kysely';
import type { Store } from '../store/open-store';

/** Another look of the pictures, or other lines, make all kept ones old. */
export const PROGRAM = 1;

/**
 * Says which state a workshop is in as far as plans hang on it: the shelf, the settings, the day. As long as it is the
 * same, so is all that is worked out from the same design.
 */
export async function stampOf(store: Store, today = new Date().toISOString().slice(0, 10)): Promise<string> {
  const { rows } = await sql<{ stamp: string }>`
    select coalesce((select sum(revision) from shelf_item), 0) || '.' ||
      (select count(*) from shelf_item where removed_at is null) || '.' ||
      coalesce((select max(row) from ledger), 0) || '.' ||
      coalesce((select revision from workshop), 0) as stamp`.execute(store);
  return `${PROGRAM}.${rows[0].stamp}.${today}`;
}
