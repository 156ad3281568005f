import {
  learning,
  learntOf,
  readingSchema,
  unknownOf,
  usable,
  usualLosses,
  type KeptReading,
  type Learning,
  type NamedLearnt,
  type ShelfItem,
} from '@aurantia/core';
import { readingsOf, type LogEntry, type Make } from '@aurantia/core/make';
import { notFound } from '../http/problem';
import { ShelfStore } from '../shelf/shelf-store';
import type { Store } from '../store/open-store';
import { together } from '../store/together';
import { WorkshopStore } from '../workshop/workshop-store';

/** What a maker says of a reading that was asked about. */
export type Said = KeptReading['said'];

/**
 * What readings of each unknown said together when they were last looked at, so that one more is taken in by itself. Nothing
 * relies on it: what of it doesn't fit the readings that are kept is learnt from scratch.
 */
export type LearntSoFar = Map<string, Learning>;

/** What weighings taught: readings as they came out of logs, and what the shelf and the workshop go by for them. */
export class LearntStore {
  constructor(
    private readonly store: Store,
    private readonly soFar: LearntSoFar = new Map(),
  ) {}

  /** Takes what an entry of a log can teach, and lets the shelf go by it. */
  async take(make: Make, entries: readonly LogEntry[], entry: LogEntry): Promise<void> {
    if (entry.what === 'undone') return this.forgetCoat(make.id, entry.coat);
    const readings = readingsOf(make, entries, entry);
    for (const [i, reading] of readings.entries()) {
      const unknown = unknownOf(reading);
      await this.store
        .insertInto('reading')
        .values({
          id: `${entry.id}/${i}`,
          unknown,
          make_id: make.id,
          coat: 'coat' in entry ? (entry.coat ?? '') : '',
          at: entry.at,
          document: JSON.stringify(reading),
        })
        .execute();
      await this.goBy(unknown);
    }
  }

  /** All that is known, the latest touched first. */
  async all(): Promise<readonly NamedLearnt[]> {
    const rows = await this.store
      .selectFrom('reading')
      .select(['unknown', ({ fn }) => fn.max('row').as('last')])
      .groupBy('unknown')
      .orderBy('last', 'desc')
      .execute();
    const shelf = new Map([...(await this.shelf.gone()), ...(await this.shelf.all())].map(({ id, document }) => [id, document]));
    const makes = await this.store
      .selectFrom('reading')
      .innerJoin('make', 'make.id', 'reading.make_id')
      .select(['reading.id', 'make.name', 'make.number'])
      .execute();
    const names = new Map(makes.map(({ id, name, number }) => [id, `${name}, make ${number}`]));
    const all: NamedLearnt[] = [];
    for (const { unknown } of rows) {
      const readings = await this.of(unknown, shelf);
      if (!readings) continue;
      const learnt = learntOf(readings);
      const own = Object.fromEntries(learnt.readings.map(({ id }) => [id, names.get(id) ?? '']));
      all.push({
        ...learnt,
        name: learnt.item === null ? null : (shelf.get(learnt.item)?.name ?? 'a jar that is gone'),
        makes: own,
      });
    }
    return all;
  }

  /** @throws ProblemError 404 where there is no such reading */
  say(id: string, said: Said): Promise<void> {
    return together(this.store, async (within) => {
      const row = await within.updateTable('reading').set({ said }).where('id', '=', id).returning('unknown').executeTakeFirst();
      if (!row) throw notFound('reading');
      await new LearntStore(within, this.soFar).goBy(row.unknown);
    });
  }

  /** Begins anew: what was known before any weighing is gone by again; the weighings stay in the logs of their makes. */
  forget(unknown: string): Promise<void> {
    return together(this.store, async (within) => {
      const { numDeletedRows } = await within.deleteFrom('reading').where('unknown', '=', unknown).executeTakeFirst();
      if (numDeletedRows === 0n) throw notFound('reading');
      await new LearntStore(within, this.soFar).goBy(unknown);
    });
  }

  private async forgetCoat(make: string, coat: string): Promise<void> {
    const rows = await this.store
      .deleteFrom('reading')
      .where('make_id', '=', make)
      .where('coat', '=', coat)
      .returning('unknown')
      .execute();
    for (const unknown of new Set(rows.map((row) => row.unknown))) await this.goBy(unknown);
  }

  private get shelf(): ShelfStore {
    return new ShelfStore(this.store);
  }

  /** What all readings of one unknown say together; null where there are none. */
  private async of(unknown: string, shelf: ReadonlyMap<string, ShelfItem>): Promise<Learning | null> {
    const rows = await this.store.selectFrom('reading').where('unknown', '=', unknown).selectAll().orderBy('row').execute();
    const soFar = this.soFar.get(unknown) ?? null;
    const readings = rows.map(({ id, at, said, document }, i): KeptReading => {
      const known = soFar?.readings[i];
      // A reading never changes once it is kept: what was read of it before needn't be read again.
      return {
        id,
        at,
        said: said as Said,
        reading: known?.id === id ? known.reading : readingSchema.parse(JSON.parse(document)),
      };
    });
    const [about, item] = [unknown.split('/')[0], unknown.slice(unknown.indexOf('/') + 1)];
    const before = about === 'pot' || about === 'glove' ? usualLosses[about] : knownBefore(shelf.get(item));
    const all = learning(readings, before, soFar);
    if (all) this.soFar.set(unknown, all);
    else this.soFar.delete(unknown);
    return all;
  }

  /** Lets the shelf, or the workshop, go by what is known now. */
  private async goBy(unknown: string): Promise<void> {
    const items = new Map((await this.shelf.all()).map(({ id, document }) => [id, document]));
    const learnt = await this.of(unknown, items);
    if (unknown === 'pot' || unknown === 'glove') {
      const workshop = new WorkshopStore(this.store);
      const { document, revision } = await workshop.kept();
      const { losses = usualLosses, ...others } = document;
      const own = { ...losses, [unknown]: learnt ? usable(unknown, learnt.from.belief.value) : usualLosses[unknown] };
      const usual = own.pot === usualLosses.pot && own.glove === usualLosses.glove;
      await workshop.setSettings(usual ? others : { ...others, losses: own }, revision);
      return;
    }
    const id = unknown.slice(unknown.indexOf('/') + 1);
    if (items.has(id)) await this.shelf.learn(id, (item) => itemBy(item, learnt));
  }
}

const knownBefore = (item: ShelfItem | undefined): number => {
  if (item?.kind === 'glue') return item.learnt?.before ?? item.hold;
  if (item?.kind === 'ink') return item.learnt?.before ?? item.dropMl;
  return 1;
};

/** A jar as its weighings have it; as it was before them where none counts. */
function itemBy(item: ShelfItem, learnt: Learning | null): ShelfItem {
  const counted = learnt?.from.counted ?? [];
  const by = learnt && counted.length > 0 ? learnt : null;
  const value = by ? usable(counted[0].reading.about, by.from.belief.value) : null;
  const known = by ? { before: by.prior.value, spread: by.from.belief.spread, from: counted.length } : undefined;
  if (item.kind === 'glue') return { ...item, hold: value ?? knownBefore(item), learnt: known };
  if (item.kind === 'ink') return { ...item, dropMl: value ?? knownBefore(item), learnt: known };
  if (item.kind === 'resin') return { ...item, pace: value ?? undefined, learnt: known };
  return item;
}
