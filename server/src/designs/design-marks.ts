import type { DesignMarks, TagCount } from '@aurantia/core';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';
import { together } from '../store/together';
import { searchWords } from './search-words';

/** Tags of designs, and which stand aside: kept beside them, so that nothing of how a cup is made changes by it. */
export class DesignMarksStore {
  constructor(
    private readonly store: Store,
    private readonly now = () => new Date(),
  ) {}

  /** @throws ProblemError 404 when there is no such design */
  async set(id: string, { tags: given, archived }: DesignMarks): Promise<DesignMarks> {
    const tags = [...new Set(given)];
    return together(this.store, async (within) => {
      const design = await within.selectFrom('design').where('id', '=', id).select('archived_at').executeTakeFirst();
      if (!design) throw notFound('design');
      const archived_at = archived ? (design.archived_at ?? this.now().toISOString()) : null;
      await within.updateTable('design').set({ archived_at }).where('id', '=', id).execute();
      await within.deleteFrom('design_tag').where('design_id', '=', id).execute();
      if (tags.length > 0) await within.insertInto('design_tag').values(tagRows(id, tags)).execute();
      return { tags, archived };
    });
  }

  /** Tags of designs that are here, those most used first. */
  async tags(): Promise<readonly TagCount[]> {
    return this.store
      .selectFrom('design_tag')
      .innerJoin('design', 'design.id', 'design_tag.design_id')
      .where('removed_at', 'is', null)
      .groupBy('tag')
      .select(({ fn }) => ['tag', fn.countAll<number>().as('count')])
      .orderBy('count', 'desc')
      .orderBy('tag')
      .limit(200)
      .execute();
  }

  /** Tags of some designs, each design's in the order of their letters. */
  async of(ids: readonly string[]): Promise<ReadonlyMap<string, readonly string[]>> {
    const rows = ids.length === 0 ? [] : await this.rows(ids);
    return new Map(ids.map((id) => [id, rows.flatMap((row) => (row.design_id === id ? [row.tag] : []))]));
  }

  private rows(ids: readonly string[]) {
    return this.store
      .selectFrom('design_tag')
      .where('design_id', 'in', ids)
      .select(['design_id', 'tag'])
      .orderBy('tag')
      .execute();
  }
}

export const tagRows = (design_id: string, tags: readonly string[]) =>
  tags.map((tag) => ({ design_id, tag, found_by: searchWords(tag) }));
