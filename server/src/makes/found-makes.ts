import { standingSchema, type MakeLine } from '@aurantia/core/make';
import { sql } from 'kysely';
import { searchWords } from '../designs/search-words';
import type { Store } from '../store/open-store';

/** What is looked for among makes. */
export interface MakesWanted {
  /** those that are done or given up too */
  readonly over: boolean;
  readonly words: string;
  /** days, ISO 8601 */
  readonly from?: string;
  readonly until?: string;
}

/** The most makes that a list is sent with. */
const MOST_LISTED = 500;

/**
 * Makes as a list tells them, the latest first; a cup whose coats are all on is on the bench until it has cured through.
 * @param now ms since 1970
 * @returns those that are listed, and how many there are
 */
export async function foundMakes(store: Store, wanted: MakesWanted, now: number): Promise<{ makes: MakeLine[]; found: number }> {
  let query = store.selectFrom('make');
  if (!wanted.over) query = query.where(sql<boolean>`(over = 0 or (over = 1 and json_extract(standing, '$.opens') > ${now}))`);
  if (wanted.from !== undefined) query = query.where('at', '>=', wanted.from);
  // A day ends before the next begins; moments are written as 2026-11-25T…
  if (wanted.until !== undefined) query = query.where('at', '<', `${wanted.until}T99`);
  for (const word of searchWords(wanted.words)
    .split(/\s+/)
    .filter((one) => one !== ''))
    query = query.where(({ exists, selectFrom }) =>
      exists(
        selectFrom('make_words')
          .whereRef('make_words.make_id', '=', 'make.id')
          .where('make_words.words', 'like', sql<string>`${`%${word.replace(/[\\%_]/g, '\\$&')}%`} escape '\\'`)
          .select('make_words.make_id'),
      ),
    );
  const { found } = await query.select(({ fn }) => fn.countAll<number>().as('found')).executeTakeFirstOrThrow();
  const rows = await query
    .select(['id', 'design_id', 'name', 'number', 'cups', 'label', 'at', 'standing'])
    .orderBy('over')
    .orderBy('at', 'desc')
    .limit(MOST_LISTED)
    .execute();
  const makes = rows.map(({ design_id, standing, ...row }) => ({
    ...row,
    id: row.id as MakeLine['id'],
    designId: design_id as MakeLine['designId'],
    standing: standingSchema.parse(JSON.parse(standing)),
  }));
  return { makes, found };
}

/** Notes beside a make what it is found by; more is added to what is there. */
export async function noteWords(store: Store, make: string, words: string): Promise<void> {
  if (words === '') return;
  await store
    .insertInto('make_words')
    .values({ make_id: make, words })
    .onConflict((conflict) =>
      conflict
        .column('make_id')
        .doUpdateSet({ words: sql<string>`substr(make_words.words || ' ' || excluded.words, 1, 100000)` }),
    )
    .execute();
}
