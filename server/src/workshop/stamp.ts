import { sql } from 'kysely';
import type { Store } from '../store/open-store';

/** Another look of the pictures, or other lines, make all kept ones old. */
export const PROGRAM = 1;

/** What is put on the shelf, taken off and put back, counted; how often the settings were kept. */
const PLANS_HANG_ON = sql`
  (select coalesce(sum(revision), 0) || '.' || count(*) filter (where removed_at is null) || '.' ||
    coalesce(max(removed_at), '') from shelf_item) || '.' ||
  coalesce((select max(row) from ledger), 0) || '.' ||
  coalesce((select revision from workshop), 0)`;

/**
 * Says which state a workshop is in as far as plans hang on it: the shelf, the settings, the day. As long as it is the
 * same, so is all that is worked out from the same design.
 */
export async function stampOf(store: Store, today = new Date().toISOString().slice(0, 10)): Promise<string> {
  const { rows } = await sql<{ stamp: string }>`select ${PLANS_HANG_ON} as stamp`.execute(store);
  return `${PROGRAM}.${rows[0].stamp}.${today}`;
}

/** The same of all that a page has of it: of the cups too, whatever day it is. */
export async function pageStampOf(store: Store): Promise<string> {
  const { rows } = await sql<{ stamp: string }>`
    select ${PLANS_HANG_ON} || '.' ||
      (select coalesce(sum(revision), 0) || '.' || count(*) filter (where removed_at is null) || '.' ||
        coalesce(max(removed_at), '') from cup) as stamp`.execute(store);
  return rows[0].stamp;
}
