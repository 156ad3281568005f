import { cupSchema, type Cup } from '@aurantia/core';
import * as z from 'zod';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';

export const keptCupSchema = z.strictObject({ id: z.string().min(1).max(64), cup: cupSchema });
export type KeptCup = z.infer<typeof keptCupSchema>;

/** The cups a workshop has measured. Designs carry their own copy, so a change here moves none. */
export class CupsStore {
  constructor(private readonly store: Store) {}

  async all(): Promise<readonly KeptCup[]> {
    const rows = await this.store
      .selectFrom('cup')
      .where('removed_at', 'is', null)
      .select(['id', 'document'])
      .orderBy('place')
      .execute();
    return rows.map((row) => ({ id: row.id, cup: cupSchema.parse(JSON.parse(row.document)) }));
  }

  async put(id: string, cup: Cup): Promise<KeptCup> {
    const row = { document: JSON.stringify(cup), removed_at: null };
    await this.store
      .insertInto('cup')
      .values({ id, ...row })
      .onConflict((conflict) => conflict.column('id').doUpdateSet(row))
      .execute();
    return { id, cup };
  }

  async setRemoved(id: string, removed: boolean): Promise<void> {
    const { numUpdatedRows } = await this.store
      .updateTable('cup')
      .set({ removed_at: removed ? new Date().toISOString() : null })
      .where('id', '=', id)
      .executeTakeFirst();
    if (numUpdatedRows === 0n) throw notFound('cup');
  }
}
