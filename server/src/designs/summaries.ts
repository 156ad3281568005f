import type { DesignPage, DesignSummary } from '@aurantia/core';
import { sql } from 'kysely';
import type { Aside } from '../aside/aside';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';
import { stampOf } from '../workshop/stamp';
import { searchWords } from './search-words';

/**
 * ms a design is left alone after a save before its picture is made anew: while it is typed on, nobody sees it, and the
 * processor is the maker's. Whoever asks for the list gets it made at once.
 */
const QUIET = 20_000;

/** The designs as they stand among each other: found by name or cup, a page at a time, pictures got ready aside. */
export class Summaries {
  private closed = false;
  private readonly underWay = new Map<string, NodeJS.Timeout | null>();

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
        fresh: revision === latest && row.stamp === stamp,
      };
    });
    if (!which.removed) for (const { id, fresh } of designs) if (!fresh) this.makeSoon(id, 0);
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
    this.makeSoon(id, QUIET);
  }

  /** Nothing is begun any more. */
  close(): void {
    this.closed = true;
    for (const timer of this.underWay.values()) if (timer) clearTimeout(timer);
  }

  private makeSoon(id: string, wait: number): void {
    if (this.closed || !this.pictures) return;
    const before = this.underWay.get(id);
    // One that is being made is looked at again by whoever asks next.
    if (before === null || (before && wait === 0)) return;
    clearTimeout(before);
    const timer = setTimeout(() => {
      this.underWay.set(id, null);
      // What can't be worked out has no picture; opening it says why.
      void this.make(id)
        .catch((error: unknown) => {
          if (!this.closed) process.stderr.write(`No picture of the design “${id}”: ${String(error)}\n`);
        })
        .finally(() => this.underWay.delete(id));
    }, wait);
    timer.unref();
    this.underWay.set(id, timer);
  }

  private async make(id: string): Promise<void> {
    const row = await this.aside.do('summary', { id }, { later: true });
    if (this.closed) return;
    await this.store
      .insertInto('summary')
      .values({ design_id: id, ...row })
      .onConflict((conflict) => conflict.column('design_id').doUpdateSet(row))
      .execute();
  }
}
