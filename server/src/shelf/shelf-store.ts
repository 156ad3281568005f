import { shelfItemSchema, tidy, type LedgerEntry, type ShelfItem } from '@aurantia/core';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';

/** What stands on the shelf. A removed jar can be put back. */
export class ShelfStore {
  constructor(private readonly store: Store) {}

  async all(): Promise<readonly ShelfItem[]> {
    const rows = await this.store
      .selectFrom('shelf_item')
      .where('removed_at', 'is', null)
      .select('document')
      .orderBy('place')
      .execute();
    return rows.map((row) => shelfItemSchema.parse(JSON.parse(row.document)));
  }

  /** What was taken off the shelf, the latest first: designs made with it can still be read. */
  async gone(): Promise<ShelfItem[]> {
    const rows = await this.store
      .selectFrom('shelf_item')
      .where('removed_at', 'is not', null)
      .select('document')
      .orderBy('removed_at', 'desc')
      .limit(500)
      .execute();
    return rows.map((row) => shelfItemSchema.parse(JSON.parse(row.document)));
  }

  /** Puts items on the shelf, each in place of one with the same id, all or none; what is left anew goes into the ledger. */
  async put(items: readonly ShelfItem[], why: string): Promise<void> {
    await this.store.transaction().execute(async (together) => {
      for (const item of items) {
        const row = { kind: item.kind, document: JSON.stringify(item), removed_at: null };
        const before = await together.selectFrom('shelf_item').where('id', '=', item.id).select('document').executeTakeFirst();
        await together
          .insertInto('shelf_item')
          .values({ id: item.id, ...row })
          .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
          .execute();
        const had = before ? shelfItemSchema.parse(JSON.parse(before.document)).left : null;
        if (item.left === had) continue;
        const change = item.left === null ? null : tidy(item.left - (had ?? 0));
        await together
          .insertInto('ledger')
          .values({ item_id: item.id, at: new Date().toISOString(), change, left_after: item.left, why })
          .execute();
      }
    });
  }

  /** What came and went of an item, the latest first. */
  async ledger(id: string): Promise<LedgerEntry[]> {
    const rows = await this.store
      .selectFrom('ledger')
      .where('item_id', '=', id)
      .selectAll()
      .orderBy('row', 'desc')
      .limit(200)
      .execute();
    return rows.map(({ at, change, left_after: left, why }) => ({ at, change, left, why }));
  }

  /** Adds the items whose ids aren't here yet. */
  async addMissing(items: readonly ShelfItem[]): Promise<void> {
    if (items.length === 0) return;
    await this.store
      .insertInto('shelf_item')
      .values(items.map((item) => ({ id: item.id, kind: item.kind, document: JSON.stringify(item), removed_at: null })))
      .onConflict((conflict) => conflict.column('id').doNothing())
      .execute();
  }

  async setRemoved(id: string, removed: boolean): Promise<void> {
    const { numUpdatedRows } = await this.store
      .updateTable('shelf_item')
      .set({ removed_at: removed ? new Date().toISOString() : null })
      .where('id', '=', id)
      .executeTakeFirst();
    if (numUpdatedRows === 0n) throw notFound('shelf item');
  }
}
