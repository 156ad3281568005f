import type { designLevels, designOrders } from '@aurantia/core';
import { sql, type ExpressionBuilder } from 'kysely';
import type { Store } from '../store/open-store';
import type { Tables } from '../store/tables';
import { searchWords } from './search-words';

/** What is looked for among the designs; null where it doesn't matter. */
export interface DesignsWanted {
  /** words that name, cup or tags have, each of them */
  readonly search: string;
  readonly tag: string | null;
  /** how far they are, as their line was worked out last; what was changed since might be any */
  readonly level: (typeof designLevels)[number] | null;
  /** kept last at or after this moment, and before that one, ISO 8601 */
  readonly since: string | null;
  readonly before: string | null;
  readonly archived: boolean;
  readonly removed: boolean;
  readonly order: (typeof designOrders)[number];
}

const anywhere = (word: string) => sql<string>`${`%${word.replace(/[\\%_]/g, '\\$&')}%`} escape '\\'`;

const hasWord = (word: string) => (where: ExpressionBuilder<Tables, 'design'>) =>
  where.or([
    where('design.found_by', 'like', anywhere(word)),
    where.exists(
      where
        .selectFrom('design_tag')
        .whereRef('design_tag.design_id', '=', 'design.id')
        .where('design_tag.found_by', 'like', anywhere(word))
        .select('design_tag.tag'),
    ),
  ]);

/** The designs that fit, in no order yet. What has no name is none that this program knows: it is listed as unreadable. */
export function foundDesigns(store: Store, wanted: DesignsWanted) {
  const words = searchWords(wanted.search)
    .split(/\s+/)
    .filter((word) => word !== '');
  let query = store
    .selectFrom('design')
    .where('removed_at', wanted.removed ? 'is not' : 'is', null)
    .where('name', '!=', '');
  // What was removed is looked for wherever it stood.
  if (!wanted.removed) query = query.where('archived_at', wanted.archived ? 'is not' : 'is', null);
  for (const word of words) query = query.where(hasWord(word));
  const { tag, level, since, before } = wanted;
  const dated = wanted.removed ? 'removed_at' : 'kept_at';
  if (since !== null) query = query.where(dated, '>=', since);
  if (before !== null) query = query.where(dated, '<', before);
  if (tag !== null)
    query = query.where(({ exists, selectFrom }) =>
      exists(selectFrom('design_tag').whereRef('design_tag.design_id', '=', 'design.id').where('tag', '=', tag).select('tag')),
    );
  // How far one is that was just changed isn't known yet: it stays in sight until it is.
  if (level !== null)
    query = query.where(({ exists, not, selectFrom }) =>
      not(
        exists(
          selectFrom('summary')
            .whereRef('summary.design_id', '=', 'design.id')
            .whereRef('summary.revision', '=', 'design.latest')
            .where('level', '!=', level)
            .select('level'),
        ),
      ),
    );
  return query;
}
