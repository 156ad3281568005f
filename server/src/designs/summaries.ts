import type { DesignPage, DesignSummary } from '@aurantia/core';
import { sql } from 'kysely';
import type { Aside } from '../aside/aside';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';
import { stampOf } from '../workshop/stamp';
import { searchWords } from './search-words';
import { SummaryQueue } from './summary-queue';

/** The designs as they stand among each other: found by name or cup, a page at a time, pictures got ready aside. */
export class Summaries {
  private readonly queue = new SummaryQueue((id) => this.make(id));

  constructor(
    private readonly store: Store,
    private readonly aside: Aside,
    /** whether pictures are made at all; without them every line stays what it was */
    private readonly pictures = true,
  ) {}

  /**
   * Some of the designs, newest first.
   * @param search words that their names or their cups' have, each of them
   */
  async page(which: { search: string; from: number; limit: number; removed: boolean }): Promise<DesignPage> {
    const stamp = await stampOf(this.store);
    const found = searchWords(which.search)
      .split(/\s+/)
      .filter((word) => word !== '')
      .reduce(
        (query, word) => query.where('found_by', 'like', sql<string>`${`%${word.replace(/[\\%_]/g, '\\$&')}%`} escape '\\'`),
        // What has no name is no design that this program knows; it is listed among what can't be read.
        this.store
          .selectFrom('design')
          .where('removed_at', which.removed ? 'is not' : 'is', null)
          .where('name', '!=', ''),
      );
    const { total } = await found.select(({ fn }) => fn.countAll<number>().as('total')).executeTakeFirstOrThrow();
    const rows = await found
      .leftJoin('summary', 'summary.design_id', 'design.id')
      .select(['id', 'name', 'cup', 'latest', 'kept_at', 'revision', 'stamp', 'line', 'level', 'width', 'height'])
      .orderBy('kept_at', 'desc')
      .orderBy('id')
      .limit(which.limit)
      .offset(which.from)
      .execute();
    const designs = rows.map((row): DesignSummary => {
      const { id, name, cup, latest, kept_at: keptAt, revision, line, width, height } = row;
      const at = `${revision}-${encodeURIComponent(row.stamp ?? '')}`;
      return {
        id,
        name,
        cup,
        revision: latest,
        keptAt,
        line,
        level: row.level as DesignSummary['level'],
        picture: width && height ? { src: `/api/designs/${encodeURIComponent(id)}/picture.webp?at=${at}`, width, height } : null,
        // What can't be made is as fresh as it gets.
        fresh: (revision === latest && row.stamp === stamp) || this.queue.hasFailed(id, stateOf(latest, stamp)),
      };
    });
    const stale = designs.filter(({ fresh }) => !fresh).map((one) => [one.id, stateOf(one.revision, stamp)] as const);
    if (this.pictures && !which.removed && stale.length > 0) this.queue.want(new Map(stale));
    return { total, designs };
  }

  /** @throws ProblemError 404 while there is none */
  async picture(id: string): Promise<Uint8Array> {
    const row = await this.store.selectFrom('summary').where('design_id', '=', id).select('picture').executeTakeFirst();
    if (!row) throw notFound('picture');
    return row.picture;
  }

  /** After a save: made anew once the design is left alone. */
  saved(id: string): void {
    if (this.pictures) this.queue.wantLater(id);
  }

  /** Nothing is begun any more. */
  close(): void {
    this.queue.close();
  }

  private async make(id: string): Promise<void> {
    const row = await this.aside.do('summary', { id }, { later: true });
    await this.store
      .insertInto('summary')
      .values({ design_id: id, ...row })
      .onConflict((conflict) => conflict.column('design_id').doUpdateSet(row))
      .execute();
  }
}

/** What a line and a picture are of: a revision, and the workshop as far as plans hang on it. */
const stateOf = (revision: number, stamp: string): string => `${revision} ${stamp}`;
