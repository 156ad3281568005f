import type * as z from 'zod';
import { notFound } from '../http/problem';
import type { Store } from './open-store';

/** Documents of one kind that are put, listed in their order, taken away and put back; each kind in a table of its own. */
export class KeptDocuments<Document> {
  constructor(
    private readonly store: Store,
    private readonly table: 'cup' | 'palette',
    private readonly schema: z.ZodType<Document>,
  ) {}

  async all(): Promise<readonly { readonly id: string; readonly document: Document }[]> {
    const rows = await this.store
      .selectFrom(this.table)
      .where('removed_at', 'is', null)
      .select(['id', 'document'])
      .orderBy('place')
      .execute();
    return rows.map((row) => ({ id: row.id, document: this.schema.parse(JSON.parse(row.document)) }));
  }

  async put(id: string, document: Document): Promise<void> {
    const row = { document: JSON.stringify(document), removed_at: null };
    await this.store
      .insertInto(this.table)
      .values({ id, ...row })
      .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
      .execute();
  }

  async setRemoved(id: string, removed: boolean): Promise<void> {
    const { numUpdatedRows } = await this.store
      .updateTable(this.table)
      .set({ removed_at: removed ? new Date().toISOString() : null })
      .where('id', '=', id)
      .executeTakeFirst();
    if (numUpdatedRows === 0n) throw notFound(this.table);
  }
}
