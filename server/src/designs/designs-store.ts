import { designSchema, type Design, type DesignId } from '@aurantia/core';
import { v7 } from 'uuid';
import { notFound, ProblemError } from '../http/problem';
import type { Store } from '../store/open-store';
import { readRow } from '../store/read-row';
import { together } from '../store/together';
import { namesOf } from './names-of';
import { thinned } from './thinning';

export interface KeptDesign {
  readonly document: Design;
  readonly revision: number;
  readonly keptAt: string;
}

/** A revision that stayed; null where its document can’t be read. */
export interface PastRevision {
  readonly revision: number;
  readonly keptAt: string;
  readonly document: Design | null;
}

interface Row {
  readonly document: string;
  readonly number: number;
  readonly kept_at: string;
}

/** @throws ProblemError when the row isn't a design that this program can read; it stays as it is */
function read(row: Row): KeptDesign {
  const { document, number: revision, kept_at: keptAt } = row;
  const result = readRow(document, designSchema);
  if (result.ok) return { document: result.document, revision, keptAt };
  throw new ProblemError(
    500,
    'Can’t be read',
    `Revision ${revision} of this design can’t be read (${result.reason}). It is untouched: save its text under Workshop, “Kept safe”, or open an earlier revision.`,
  );
}

/** Designs and their revisions. None is ever changed; those of one sitting are thinned. */
export class DesignsStore {
  /** @param now the time, for what counts days */
  constructor(
    private readonly store: Store,
    private readonly now = () => new Date(),
  ) {}

  /** What each that is there is called. */
  async names(): Promise<readonly { readonly id: DesignId; readonly name: string }[]> {
    const rows = await this.store.selectFrom('design').where('removed_at', 'is', null).select(['id', 'name']).execute();
    return rows.map(({ id, name }) => ({ id: id as DesignId, name }));
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

  /**
   * Revisions that stayed, newest first, and one before them to compare the last with; a document that can't be read
   * is null.
   */
  async revisions(id: string, from: number, limit: number): Promise<readonly PastRevision[]> {
    const rows = await this.store
      .selectFrom('revision')
      .where('design_id', '=', id)
      .select(['number', 'document', 'kept_at'])
      .orderBy('number', 'desc')
      .limit(limit + 1)
      .offset(from)
      .execute();
    return rows.map(({ number: revision, document, kept_at: keptAt }) => {
      const read = readRow(document, designSchema);
      return { revision, keptAt, document: read.ok ? read.document : null };
    });
  }

  /** @throws ProblemError 409 when a design of this id is already kept */
  create(document: Design): Promise<KeptDesign> {
    const keptAt = this.now().toISOString();
    return together(this.store, async (within) => {
      const taken = await within.selectFrom('design').where('id', '=', document.id).select('removed_at').executeTakeFirst();
      if (taken)
        throw new ProblemError(
          409,
          'Already here',
          taken.removed_at === null
            ? 'A design with this id is already kept. Open that one, or bring this in as a file, which makes a copy.'
            : 'A design with this id was removed. Bring it back first, or bring this in as a file.',
        );
      await within
        .insertInto('design')
        .values({ id: document.id, latest: 1, kept_at: keptAt, removed_at: null, archived_at: null, ...namesOf(document) })
        .execute();
      await addRevision(within, { document, revision: 1, keptAt }, null);
      return { document, revision: 1, keptAt };
    });
  }

  /**
   * Adds a revision on top of the one the maker started from.
   * @throws ProblemError 409 with both versions when another revision came in between; 410 when the
   * design was removed meanwhile
   */
  async save(document: Design, parent: number): Promise<KeptDesign> {
    const keptAt = this.now().toISOString();
    type Saved = { readonly kept: KeptDesign } | { readonly latest: KeptDesign };
    const saved = await together(this.store, async (within): Promise<Saved> => {
      const design = await within
        .selectFrom('design')
        .where('id', '=', document.id)
        .select(['latest', 'removed_at'])
        .executeTakeFirst();
      if (!design) throw notFound('design');
      if (design.removed_at !== null)
        throw new ProblemError(
          410,
          'Removed',
          'This design was removed in another window, so nothing more is kept of it. Bring it back to go on.',
        );
      if (design.latest !== parent) {
        await hold(within, document.id, design.latest);
        return { latest: await new DesignsStore(within).newest(document.id) };
      }
      const kept = { document, revision: parent + 1, keptAt };
      await addRevision(within, kept, parent);
      await thin(within, document.id, new Date(keptAt));
      return { kept };
    });
    if ('kept' in saved) return saved.kept;
    throw new ProblemError(
      409,
      'Changed elsewhere',
      `This design was changed in another window since revision ${parent}. Nothing was overwritten; choose which to go on with.`,
      { latest: saved.latest, yours: { document, parent } },
    );
  }

  /**
   * A design from elsewhere. One that is here already comes in as a copy; one that was removed comes
   * back, with what came on top of what it was.
   */
  bringIn(document: Design): Promise<KeptDesign> {
    return together(this.store, async (within) => {
      const designs = new DesignsStore(within);
      const here = await within.selectFrom('design').where('id', '=', document.id).selectAll().executeTakeFirst();
      if (!here) return designs.create(document);
      if (here.removed_at === null)
        return designs.create({ ...document, id: v7() as DesignId, name: `${document.name.slice(0, 74)}, copy` });
      await designs.setRemoved(document.id, false);
      return designs.save(document, here.latest);
    });
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
    return this.withLatest().where('design.id', '=', id).executeTakeFirst();
  }

  private withLatest() {
    return this.store
      .selectFrom('design')
      .innerJoin('revision', (join) =>
        join.onRef('revision.design_id', '=', 'design.id').onRef('revision.number', '=', 'design.latest'),
      )
      .select(['revision.document', 'revision.number', 'revision.kept_at']);
  }
}

async function addRevision(within: Store, { document, revision, keptAt }: KeptDesign, parent: number | null): Promise<void> {
  await within
    .insertInto('revision')
    .values({ design_id: document.id, number: revision, parent, document: JSON.stringify(document), kept_at: keptAt })
    .execute();
  await within
    .updateTable('design')
    .set({ latest: revision, kept_at: keptAt, ...namesOf(document) })
    .where('id', '=', document.id)
    .execute();
}

/** What one window saved while another was changing the same: whichever goes on, this one can be seen again. */
async function hold(within: Store, id: string, number: number): Promise<void> {
  await within
    .insertInto('held_revision')
    .values({ design_id: id, number })
    .onConflict((conflict) => conflict.doNothing())
    .execute();
}

async function thin(within: Store, id: string, now: Date): Promise<void> {
  const rows = await within
    .selectFrom('revision')
    .leftJoin('held_revision', (join) =>
      join.onRef('held_revision.design_id', '=', 'revision.design_id').onRef('held_revision.number', '=', 'revision.number'),
    )
    .where('revision.design_id', '=', id)
    .select(['revision.number', 'kept_at as keptAt', 'held_revision.number as held'])
    .orderBy('revision.number')
    .execute();
  const held = new Set(rows.map((row) => row.held));
  const gone = thinned(rows, now).filter((number) => !held.has(number));
  if (gone.length > 0) await within.deleteFrom('revision').where('design_id', '=', id).where('number', 'in', gone).execute();
}
