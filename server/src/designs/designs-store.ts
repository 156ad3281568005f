import { designSchema, type Design } from '@aurantia/core';
import type { Store } from '../store/open-store';
import { notFound, ProblemError } from '../http/problem';

export interface KeptDesign {
  readonly document: Design;
  readonly revision: number;
  readonly keptAt: string;
}

const read = (row: { document: string; number: number; kept_at: string }): KeptDesign => ({
  document: designSchema.parse(JSON.parse(row.document)),
  revision: row.number,
  keptAt: row.kept_at,
});

/** Designs and their revisions. A revision is only ever added. */
export class DesignsStore {
  constructor(private readonly store: Store) {}

  /** The newest revision of every design that isn't removed, newest first. */
  async list(): Promise<readonly KeptDesign[]> {
    const rows = await this.store
      .selectFrom('design')
      .innerJoin('revision', (join) =>
        join.onRef('revision.design_id', '=', 'design.id').onRef('revision.number', '=', 'design.latest'),
      )
      .where('design.removed_at', 'is', null)
      .select(['revision.document', 'revision.number', 'revision.kept_at'])
      .orderBy('design.kept_at', 'desc')
      .orderBy('design.id')
      .execute();
    return rows.map(read);
  }

  async newest(id: string): Promise<KeptDesign> {
    const row = await this.latestRow(id);
    if (!row) throw notFound('design');
    return read(row);
  }

  async revision(id: string, number: number): Promise<KeptDesign> {
    const row = await this.store
      .selectFrom('revision')
      .where('design_id', '=', id)
      .where('number', '=', number)
      .selectAll()
      .executeTakeFirst();
    if (!row) throw notFound('revision');
    return read(row);
  }

  async revisions(id: string): Promise<readonly { revision: number; parent: number | null; keptAt: string }[]> {
    const rows = await this.store
      .selectFrom('revision')
      .where('design_id', '=', id)
      .select(['number', 'parent', 'kept_at'])
      .orderBy('number', 'desc')
      .execute();
    return rows.map((row) => ({ revision: row.number, parent: row.parent, keptAt: row.kept_at }));
  }

  /** @throws ProblemError 409 when a design of this id is already kept */
  async create(document: Design): Promise<KeptDesign> {
    const keptAt = new Date().toISOString();
    await this.store.transaction().execute(async (trx) => {
      const taken = await trx.selectFrom('design').where('id', '=', document.id).select('id').executeTakeFirst();
      if (taken)
        throw new ProblemError(
          409,
          'Already here',
          'A design with this id is already kept. Open that one, or import this as a copy.',
        );
      await trx.insertInto('design').values({ id: document.id, latest: 1, kept_at: keptAt, removed_at: null }).execute();
      await trx
        .insertInto('revision')
        .values({ design_id: document.id, number: 1, parent: null, document: JSON.stringify(document), kept_at: keptAt })
        .execute();
    });
    return { document, revision: 1, keptAt };
  }

  /**
   * Adds a revision on top of the one the maker started from.
   * @throws ProblemError 409 with both versions when another revision came in between
   */
  async save(document: Design, parent: number): Promise<KeptDesign> {
    const keptAt = new Date().toISOString();
    const revision = parent + 1;
    await this.store.transaction().execute(async (trx) => {
      const design = await trx.selectFrom('design').where('id', '=', document.id).select('latest').executeTakeFirst();
      if (!design) throw notFound('design');
      if (design.latest !== parent) {
        const latest = await trx
          .selectFrom('revision')
          .where('design_id', '=', document.id)
          .where('number', '=', design.latest)
          .selectAll()
          .executeTakeFirstOrThrow();
        throw new ProblemError(
          409,
          'Changed elsewhere',
          `This design was changed in another window since revision ${parent}. Nothing was overwritten; choose which to go on with.`,
          {
            latest: read(latest),
            yours: { document, parent },
          },
        );
      }
      await trx
        .insertInto('revision')
        .values({ design_id: document.id, number: revision, parent, document: JSON.stringify(document), kept_at: keptAt })
        .execute();
      await trx.updateTable('design').set({ latest: revision, kept_at: keptAt }).where('id', '=', document.id).execute();
    });
    return { document, revision, keptAt };
  }

  async setRemoved(id: string, removed: boolean): Promise<void> {
    const { numUpdatedRows } = await this.store
      .updateTable('design')
      .set({ removed_at: removed ? new Date().toISOString() : null })
      .where('id', '=', id)
      .executeTakeFirst();
    if (numUpdatedRows === 0n) throw notFound('design');
  }

  private latestRow(id: string) {
    return this.store
      .selectFrom('design')
      .innerJoin('revision', (join) =>
        join.onRef('revision.design_id', '=', 'design.id').onRef('revision.number', '=', 'design.latest'),
      )
      .where('design.id', '=', id)
      .select(['revision.document', 'revision.number', 'revision.kept_at'])
      .executeTakeFirst();
  }
}
