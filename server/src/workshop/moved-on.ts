import type { MovedOn } from '@aurantia/core';
import type { Store } from '../store/open-store';
import { standingOf } from './stamp';

/**
 * What a page may have wrong of the workshop that looked at it when it stood at a stamp.
 * @param before that stamp; without one only the present one is told
 */
export async function movedOn(store: Store, before?: string): Promise<MovedOn> {
  // The stamp comes first: what is kept between it and the lists is merely told twice.
  const { movement, settings, shelf, cups } = await standingOf(store);
  const stamp = [movement, settings, shelf, cups].join('~');
  if (before === undefined || before === stamp) return { stamp, since: null };
  const [movementBefore, , shelfBefore, cupsBefore] = before.split('~');
  const here = (table: 'cup' | 'shelf_item') =>
    store.selectFrom(table).where('removed_at', 'is', null).select(['id', 'revision']).orderBy('place').execute();
  return {
    stamp,
    since: {
      settings,
      cups: cups === cupsBefore ? null : await here('cup'),
      shelf: shelf === shelfBefore ? null : await here('shelf_item'),
      left: await countedSince(store, Number.parseInt(movementBefore, 10) || 0),
    },
  };
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
