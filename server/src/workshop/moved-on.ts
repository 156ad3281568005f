import type { MovedOn } from '@aurantia/core';
import type { Store } from '../store/open-store';
import { pageStampOf } from './stamp';

/**
 * What a page may have wrong of the workshop that looked at it when it stood at a stamp.
 * @param before that stamp; without one only the present one is told
 */
export async function movedOn(store: Store, before?: string): Promise<MovedOn> {
  // The stamp comes first: what is kept between it and the lists is merely told twice.
  const [movement, stamp] = [await lastMovement(store), await pageStampOf(store)];
  const now = `${movement}~${stamp}`;
  if (before === undefined || before === now) return { stamp: now, since: null };
  const settings = await store.selectFrom('workshop').select('revision').executeTakeFirst();
  const here = (table: 'cup' | 'shelf_item') =>
    store.selectFrom(table).where('removed_at', 'is', null).select(['id', 'revision']).orderBy('place').execute();
  return {
    stamp: now,
    since: {
      settings: settings?.revision ?? 0,
      cups: await here('cup'),
      shelf: await here('shelf_item'),
      left: await countedSince(store, Number.parseInt(before, 10) || 0),
    },
  };
}

/** The number of the last line of the ledger; 0 while there is none. */
async function lastMovement(store: Store): Promise<number> {
  const found = await store
    .selectFrom('ledger')
    .select(({ fn }) => fn.max('row').as('last'))
    .executeTakeFirst();
  return Number(found?.last ?? 0);
}

/** What is left of each item that came or went after a line of the ledger. */
async function countedSince(store: Store, movement: number): Promise<{ id: string; left: number | null }[]> {
  const rows = await store
    .selectFrom('ledger')
    .where('row', '>', movement)
    .select(['item_id', 'left_after'])
    .orderBy('row')
    .execute();
  return [...new Map(rows.map(({ item_id: id, left_after: left }) => [id, { id, left }])).values()];
}
