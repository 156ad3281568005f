import { shelfItemSchema, type ShelfItem } from '@aurantia/core';
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

  /** Puts an item on the shelf, in place of one with the same id. */
  async put(item: ShelfItem): Promise<ShelfItem> {
    const row = { kind: item.kind, document: JSON.stringify(item), removed_at: null };
    await this.store
      .insertInto('shelf_item')
      .values({ id: item.id, ...row })
      .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
      .execute();
    return item;
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
