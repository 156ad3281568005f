import type * as z from 'zod';
import { notFound, ProblemError } from '../http/problem';
import { changedElsewhere, type Kept } from './kept';
import type { Store } from './open-store';
import { readable, readRow } from './read-row';
import { together } from './together';

/** Documents of one kind that are put, listed in their order, taken away and put back; each kind in a table of its own. */
export class KeptDocuments<Document> {
  /** rows as they were sent last, by id */
  private sent = new Map<string, { readonly text: string; readonly revision: number; readonly json: string | null }>();

  constructor(
    private readonly store: Store,
    private readonly table: 'cup' | 'palette' | 'shelf_item' | 'cup_order',
    private readonly what: string,
    private readonly schema: z.ZodType<Document>,
  ) {}

  /**
   * The same as it is sent: each row is read and written out once for its text, so that a shelf of thousands answers at
   * once.
   */
  async allAsText(): Promise<string> {
    const rows = await this.rows();
    const before = this.sent;
    this.sent = new Map(
      rows.map(({ id, document: text, revision }) => {
        const known = before.get(id);
        if (known?.text === text && known.revision === revision) return [id, known];
        const read = readRow(text, this.schema);
        return [id, { text, revision, json: read.ok ? JSON.stringify({ id, document: read.document, revision }) : null }];
      }),
    );
    return `[${[...this.sent.values()].flatMap(({ json }) => json ?? []).join(',')}]`;
  }

  /** What there is, in the order it came. Rows that can't be read are left out; `UnreadableRows` lists them. */
  async all(): Promise<readonly Kept<Document>[]> {
    return readable(await this.rows(), this.schema);
  }

  /** What was taken away, the latest first. */
  async gone(): Promise<readonly Kept<Document>[]> {
    const rows = await this.store
      .selectFrom(this.table)
      .where('removed_at', 'is not', null)
      .select(['id', 'document', 'revision'])
      .orderBy('removed_at', 'desc')
      .limit(500)
      .execute();
    return readable(rows, this.schema);
  }

  /** @throws ProblemError 404 when it isn't there, or can't be read */
  async one(id: string): Promise<Kept<Document>> {
    const row = await this.row(this.store, id);
    const read = row && row.removed_at === null ? readRow(row.document, this.schema) : null;
    if (!row || !read?.ok) throw notFound(this.what);
    return { id, document: read.document, revision: row.revision };
  }

  /**
   * Puts a document in place of the one it started from, and back among the others if it was taken away.
   * @param parent the revision it started from, null for a new one
   * @param settle what goes in, given what stood there; for what a save mustn't overwrite
   * @throws ProblemError 409 with both when another was kept in between
   */
  put(
    id: string,
    document: Document,
    parent: number | null,
    settle: (before: Document | null) => Document = () => document,
  ): Promise<Kept<Document>> {
    return together(this.store, async (within) => {
      const row = await this.row(within, id);
      const read = row ? readRow(row.document, this.schema) : null;
      const before = read?.ok ? read.document : null;
      // What was taken away, or can't be read, is no version to go on with: a new one may take its place.
      const stands = row && before !== null && row.removed_at === null ? row : null;
      if (parent === null ? stands : row?.revision !== parent) {
        if (!row) throw notFound(this.what);
        throw changedElsewhere(this.what, { id, document: before, revision: row.revision }, { parent, document });
      }
      if (row && read && !read.ok) await this.setAside(within, row);
      const kept = settle(before);
      const revision = (row?.revision ?? 0) + 1;
      await this.write(within, id, kept, revision);
      return { id, document: kept, revision };
    });
  }

  /** @throws ProblemError 404 when there is none of that id */
  async setRemoved(id: string, removed: boolean): Promise<void> {
    const { numUpdatedRows } = await this.store
      .updateTable(this.table)
      .set({ removed_at: removed ? new Date().toISOString() : null })
      .where('id', '=', id)
      .executeTakeFirst();
    if (numUpdatedRows === 0n) throw notFound(this.what);
  }

  /**
   * Changes what nobody writes over (a count) in the document as it stands now, whoever wrote it. Its revision stays:
   * whoever is describing it is in nobody's way.
   * @throws ProblemError 404 when there is none
   */
  change(id: string, edit: (before: Document) => Document): Promise<{ before: Document; kept: Kept<Document> }> {
    return together(this.store, async (within) => {
      const row = await this.row(within, id);
      const read = row && row.removed_at === null ? readRow(row.document, this.schema) : null;
      if (!row || !read) throw notFound(this.what);
      if (!read.ok)
        throw new ProblemError(409, 'Can’t be read', `This ${this.what} can’t be read (${read.reason}). Put it anew.`);
      const document = edit(read.document);
      await this.write(within, id, document, row.revision);
      return { before: read.document, kept: { id, document, revision: row.revision } };
    });
  }

  private rows() {
    return this.store
      .selectFrom(this.table)
      .where('removed_at', 'is', null)
      .select(['id', 'document', 'revision'])
      .orderBy('place')
      .execute();
  }

  private row(within: Store, id: string) {
    return within
      .selectFrom(this.table)
      .where('id', '=', id)
      .select(['id', 'document', 'revision', 'removed_at'])
      .executeTakeFirst();
  }

  /** A row that can't be read is kept for whoever can, when another takes its place. */
  private async setAside(within: Store, { id, document }: { id: string; document: string }): Promise<void> {
    const at = new Date().toISOString();
    await within.insertInto('set_aside').values({ kind: this.what, id, document, at }).execute();
  }

  private async write(within: Store, id: string, document: Document, revision: number): Promise<void> {
    const text = JSON.stringify(document);
    const shared = { document: text, removed_at: null, revision };
    if (this.table === 'shelf_item') {
      const row = { ...shared, kind: kindOf(document) };
      await within
        .insertInto('shelf_item')
        .values({ id, ...row })
        .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
        .execute();
      return;
    }
    await within
      .insertInto(this.table)
      .values({ id, ...shared })
      .onConflict((conflict) => conflict.column('id').doUpdateSet(shared))
      .execute();
  }
}

/** The shelf's table notes each item's kind beside its document. */
const kindOf = (document: unknown): string =>
  typeof document === 'object' && document !== null && 'kind' in document ? String(document.kind) : '';
