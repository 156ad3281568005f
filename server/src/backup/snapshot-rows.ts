import { DesignMarksStore } from '../designs/design-marks';
import type { Store } from '../store/open-store';
import { together } from '../store/together';
import { bodyOf, type Snapshot } from './snapshot';

/** How many designs are read at a time, with all that stayed of each: a workshop may hold more than is good to have in hand at once. */
const AT_A_TIME = 100;

/** What of a make can't be worked out again. */
const ofMakes = ['id', 'design_id', 'number', 'at', 'name', 'label', 'cups', 'standing', 'over', 'document'] as const;

type Rows = { readonly [Part in keyof Snapshot]: (within: Store) => AsyncGenerator<Snapshot[Part][number]> };

/** What a workshop remembers, row by row, in the order it is written down. */
export const snapshotRows = {
  async *designs(within) {
    for (let after = ''; ;) {
      const designs = await within
        .selectFrom('design')
        .where('id', '>', after)
        .select(['id', 'latest', 'kept_at', 'removed_at', 'archived_at'])
        .orderBy('id')
        .limit(AT_A_TIME)
        .execute();
      if (designs.length === 0) return;
      after = designs[designs.length - 1].id;
      yield* withRevisions(within, designs);
    }
  },
  async *shelf(within) {
    for (const { id, kind, removed_at, revision, document } of await within
      .selectFrom('shelf_item')
      .selectAll()
      .orderBy('place')
      .execute())
      yield { id, kind, removed_at, revision, ...bodyOf(document) };
  },
  async *ledger(within) {
    yield* await within.selectFrom('ledger').select(['item_id', 'at', 'change', 'left_after', 'why']).orderBy('row').execute();
  },
  cups: (within) => kept(within, 'cup'),
  palettes: (within) => kept(within, 'palette'),
  async *makes(within) {
    for (let after = ''; ;) {
      const makes = await within
        .selectFrom('make')
        .where('id', '>', after)
        .select(ofMakes)
        .orderBy('id')
        .limit(AT_A_TIME)
        .execute();
      if (makes.length === 0) return;
      after = makes[makes.length - 1].id;
      const ids = makes.map(({ id }) => id);
      const entries = await within.selectFrom('make_entry').where('make_id', 'in', ids).selectAll().orderBy('row').execute();
      for (const { document, ...make } of makes)
        yield {
          ...make,
          ...bodyOf(document),
          entries: entries
            .filter(({ make_id }) => make_id === make.id)
            .map(({ id, at, document: text }) => ({ id, at, ...bodyOf(text) })),
        };
    }
  },
  async *readings(within) {
    const columns = ['id', 'unknown', 'make_id', 'coat', 'at', 'said', 'document'] as const;
    for (const { document, ...reading } of await within.selectFrom('reading').select(columns).orderBy('row').execute())
      yield { ...reading, ...bodyOf(document) };
  },
  async *photos(within) {
    yield* await within.selectFrom('photo').selectAll().orderBy('id').execute();
  },
  async *room(within) {
    yield* await within.selectFrom('room').selectAll().orderBy('at').execute();
  },
  orders: (within) => kept(within, 'cup_order'),
  async *books(within) {
    for (const { name, revision, document } of await within.selectFrom('book').selectAll().orderBy('name').execute())
      if (name === 'week' || name === 'money') yield { name, revision, ...bodyOf(document) };
  },
  async *workshop(within) {
    for (const { revision, settings } of await within.selectFrom('workshop').selectAll().execute())
      yield { revision, ...bodyOf(settings) };
  },
  async *setAside(within) {
    for (const { kind, id, at, document } of await within.selectFrom('set_aside').selectAll().orderBy('row').execute())
      yield { kind, id, at, ...bodyOf(document) };
  },
} satisfies Rows;

async function* withRevisions(
  within: Store,
  designs: readonly { id: string; latest: number; kept_at: string; removed_at: string | null; archived_at: string | null }[],
): AsyncGenerator<Snapshot['designs'][number]> {
  const ids = designs.map(({ id }) => id);
  const revisions = await within.selectFrom('revision').where('design_id', 'in', ids).selectAll().orderBy('row').execute();
  const held = await within.selectFrom('held_revision').where('design_id', 'in', ids).selectAll().execute();
  const tags = await new DesignMarksStore(within).of(ids);
  for (const { archived_at, ...design } of designs) {
    const own = tags.get(design.id) ?? [];
    yield {
      ...design,
      ...(archived_at === null ? {} : { archived_at }),
      ...(own.length === 0 ? {} : { tags: [...own] }),
      revisions: revisions
        .filter(({ design_id }) => design_id === design.id)
        .map(({ number, parent, kept_at, document }) => ({
          number,
          parent,
          kept_at,
          ...(held.some((one) => one.design_id === design.id && one.number === number) ? { held: true as const } : {}),
          ...bodyOf(document),
        })),
    };
  }
}

async function* kept(within: Store, table: 'cup' | 'palette' | 'cup_order'): AsyncGenerator<Snapshot['cups'][number]> {
  for (const { id, removed_at, revision, document } of await within.selectFrom(table).selectAll().orderBy('place').execute())
    yield { id, removed_at, revision, ...bodyOf(document) };
}

/** Everything at once, in one transaction, so that what is saved meanwhile is in it whole or not at all. */
export const snapshotOf = (store: Store): Promise<Snapshot> =>
  together(store, async (within) => ({
    designs: await all(snapshotRows.designs(within)),
    shelf: await all(snapshotRows.shelf(within)),
    ledger: await all(snapshotRows.ledger(within)),
    cups: await all(snapshotRows.cups(within)),
    palettes: await all(snapshotRows.palettes(within)),
    makes: await all(snapshotRows.makes(within)),
    readings: await all(snapshotRows.readings(within)),
    photos: await all(snapshotRows.photos(within)),
    room: await all(snapshotRows.room(within)),
    orders: await all(snapshotRows.orders(within)),
    books: await all(snapshotRows.books(within)),
    workshop: await all(snapshotRows.workshop(within)),
    setAside: await all(snapshotRows.setAside(within)),
  }));

async function all<Row>(rows: AsyncGenerator<Row>): Promise<Row[]> {
  const found: Row[] = [];
  for await (const row of rows) found.push(row);
  return found;
}
