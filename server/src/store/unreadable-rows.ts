import { designSchema, settingsSchema, shelfItemSchema, cupSchema } from '@aurantia/core';
import { makeSchema } from '@aurantia/core/make';
import { moneyWaysSchema } from '@aurantia/core/money';
import { orderSchema } from '@aurantia/core/order';
import { paletteSchema } from '@aurantia/core/palette';
import { weekBookSchema } from '@aurantia/core/week';
import * as z from 'zod';
import type { Store } from './open-store';
import { readRow } from './read-row';

/** Something kept that this program can't read: what it was, why not, and its text, so that it can be saved. */
export const unreadableSchema = z.object({
  kind: z.string(),
  id: z.string(),
  reason: z.string(),
  text: z.string(),
});
export type Unreadable = z.infer<typeof unreadableSchema>;

/** Finds rows that can't be read; everything else works without them. */
export class UnreadableRows {
  constructor(private readonly store: Store) {}

  async all(): Promise<Unreadable[]> {
    const { store } = this;
    const kept = async (table: 'shelf_item' | 'cup' | 'palette' | 'cup_order') =>
      store.selectFrom(table).select(['id', 'document']).orderBy('place').execute();
    const settings = await store.selectFrom('workshop').select('settings').execute();
    return [
      ...(await this.designs()),
      ...faulty('shelf item', await kept('shelf_item'), shelfItemSchema),
      ...faulty('cup', await kept('cup'), cupSchema),
      ...faulty('palette', await kept('palette'), paletteSchema),
      ...faulty('order', await kept('cup_order'), orderSchema),
      ...faulty('book', await this.book('week'), weekBookSchema),
      ...faulty('book', await this.book('money'), moneyWaysSchema),
      ...faulty('make', await store.selectFrom('make').select(['id', 'document']).execute(), makeSchema),
      ...faulty(
        'settings',
        settings.map((row) => ({ id: 'settings', document: row.settings })),
        settingsSchema,
      ),
      ...(await store.selectFrom('set_aside').select(['kind', 'id', 'document']).execute()).map(({ kind, id, document }) => ({
        kind,
        id,
        reason: 'it was set aside when another took its place',
        text: document,
      })),
    ];
  }

  private book(name: 'week' | 'money') {
    return this.store.selectFrom('book').where('name', '=', name).select(['name as id', 'document']).execute();
  }

  private async designs(): Promise<Unreadable[]> {
    const found: Unreadable[] = [];
    for (let after = ''; ;) {
      const rows = await this.store
        .selectFrom('design')
        .innerJoin('revision', (join) =>
          join.onRef('revision.design_id', '=', 'design.id').onRef('revision.number', '=', 'design.latest'),
        )
        .where('design.id', '>', after)
        .select(['design.id', 'revision.document'])
        .orderBy('design.id')
        .limit(AT_A_TIME)
        .execute();
      if (rows.length === 0) return found;
      after = rows[rows.length - 1].id;
      found.push(...faulty('design', rows, designSchema));
    }
  }
}

/** How many designs are read at a time. */
const AT_A_TIME = 100;

const faulty = (
  kind: string,
  rows: readonly { readonly id: string; readonly document: string }[],
  schema: z.ZodType,
): readonly Unreadable[] =>
  rows.flatMap(({ id, document }) => {
    const read = readRow(document, schema);
    return read.ok ? [] : [{ kind, id, reason: read.reason, text: document }];
  });
