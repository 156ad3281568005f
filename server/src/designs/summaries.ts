import type { DesignPage, DesignSummary } from '@aurantia/core';
import { sql } from 'kysely';
import type { Aside } from '../aside/aside';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';
import { stampOf } from '../workshop/stamp';
import { DesignMarksStore } from './design-marks';
import { foundDesigns, type DesignsWanted } from './found-designs';
import { SummaryQueue } from './summary-queue';

/** The designs as they stand among each other: found by what they are called and like, a page at a time, pictures aside. */
export class Summaries {
  private readonly marks: DesignMarksStore;
  private readonly queue = new SummaryQueue((id) => this.make(id));

  constructor(
    private readonly store: Store,
    private readonly aside: Aside,
    /** whether pictures are made at all; without them every line stays what it was */
    private readonly pictures = true,
  ) {
    this.marks = new DesignMarksStore(store);
  }

  /** Some of the designs that fit, in the order asked for. */
  async page({ from, limit, ...wanted }: DesignsWanted & { from: number; limit: number }): Promise<DesignPage> {
    const stamp = await stampOf(this.store);
    const found = foundDesigns(this.store, wanted);
    const tagged = found.leftJoin('design_tag', 'design_tag.design_id', 'design.id');
    // Among those of one tag there is nothing to group.
    const grouped = wanted.order === 'tag' && wanted.tag === null;
    const groups = grouped
      ? await tagged
          .groupBy('tag')
          .select(({ fn }) => ['tag', fn.countAll<number>().as('count')])
          .orderBy(sql`tag is null`)
          .orderBy('tag')
          .execute()
      : [];
    const total = grouped ? groups.reduce((sum, { count }) => sum + count, 0) : await countOf(found);
    const rows = await (grouped ? tagged.orderBy(sql`tag is null`).orderBy('tag') : found)
      .leftJoin('summary', 'summary.design_id', 'design.id')
      .select(['id', 'name', 'cup', 'latest', 'kept_at', 'removed_at', 'archived_at'])
      .select(['revision', 'stamp', 'line', 'level', 'width', 'height', 'painted'])
      .$if(wanted.order === 'name', (query) => query.orderBy(sql`name collate nocase`))
      .orderBy(wanted.removed ? 'removed_at' : 'kept_at', 'desc')
      .orderBy('id')
      .limit(limit)
      .offset(from)
      .execute();
    const tags = await this.marks.of(rows.map(({ id }) => id));
    const designs = rows.map((row): DesignSummary => {
      const { id, name, cup, latest, kept_at: keptAt, revision, line, width, height } = row;
      return {
        id,
        name,
        cup,
        revision: latest,
        keptAt,
        line,
        level: row.level as DesignSummary['level'],
        picture:
          width && height
            ? { src: `/api/designs/${encodeURIComponent(id)}/picture.webp?at=${row.painted}`, width, height }
            : null,
        // What can't be made is as fresh as it gets.
        fresh: (revision === latest && row.stamp === stamp) || this.queue.hasFailed(id, stateOf(latest, stamp)),
        tags: [...(tags.get(id) ?? [])],
        archived: row.archived_at !== null,
        removedAt: row.removed_at,
      };
    });
    const stale = designs.filter(({ fresh }) => !fresh).map((one) => [one.id, stateOf(one.revision, stamp)] as const);
    if (this.pictures && !wanted.removed && stale.length > 0) this.queue.want(new Map(stale));
    return { total, designs, groups };
  }

  /** @throws ProblemError 404 while there is none */
  async picture(id: string): Promise<{ readonly picture: Uint8Array; readonly painted: string }> {
    const of = this.store.selectFrom('summary').where('design_id', '=', id);
    const row = await of.select(['picture', 'painted']).executeTakeFirst();
    if (!row) throw notFound('picture');
    return row;
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
    const { picture, ...line } = await this.aside.do('summary', { id }, { later: true });
    if (picture === null) {
      await this.store.updateTable('summary').set(line).where('design_id', '=', id).execute();
      return;
    }
    const row = { ...line, ...picture };
    await this.store
      .insertInto('summary')
      .values({ design_id: id, ...row })
      .onConflict((conflict) => conflict.column('design_id').doUpdateSet(row))
      .execute();
  }
}

const countOf = async (found: ReturnType<typeof foundDesigns>): Promise<number> =>
  (await found.select(({ fn }) => fn.countAll<number>().as('total')).executeTakeFirstOrThrow()).total;

/** What a line and a picture are of: a revision, and the workshop as far as plans hang on it. */
const stateOf = (revision: number, stamp: string): string => `${revision} ${stamp}`;
