import {
  logEntrySchema,
  makeSchema,
  needsOf,
  needsSchema,
  standingOf,
  type LogEntry,
  type Make,
  type MakeLine,
  type NeedingMake,
  type Standing,
} from '@aurantia/core/make';
import { notFound, ProblemError } from '../http/problem';
import { foundMakes, noteWords, type MakesWanted } from './found-makes';
import { accounted, type LoggedMake } from './make-accounts';
import { wordsOfEntry, wordsOfMake } from './make-words';
import { LearntStore, type LearntSoFar } from '../learnt/learnt-store';
import type { Store } from '../store/open-store';
import { together } from '../store/together';

/* What a row's `over` says. */
const [ON_THE_BENCH, ALL_ON, GIVEN_UP] = [0, 1, 2] as const;

/** The most makes of one design that are compared. */
const MOST_REPEATS = 30;

const overBy = ({ givenUp, at }: Standing): number => (givenUp ? GIVEN_UP : at === null ? ALL_ON : ON_THE_BENCH);

/** Cups that are made, each frozen as it was begun, with a log that only grows. */
export class MakesStore {
  constructor(
    private readonly store: Store,
    private readonly learnt: LearntSoFar = new Map(),
  ) {}

  /** How manieth the next one of a design is. */
  async nextNumber(design: string): Promise<number> {
    const row = await this.store
      .selectFrom('make')
      .where('design_id', '=', design)
      .select(({ fn }) => fn.max('number').as('last'))
      .executeTakeFirst();
    return (row?.last ?? 0) + 1;
  }

  /** Keeps a make; the same one sent twice is there once. */
  begin(make: Make): Promise<LoggedMake> {
    return together(this.store, async (within) => {
      const makes = new MakesStore(within, this.learnt);
      const here = await within.selectFrom('make').where('id', '=', make.id).select('id').executeTakeFirst();
      if (here) return makes.one(make.id);
      const number = await makes.nextNumber(make.designId);
      const kept: Make = { ...make, number, notes: await makes.notesFor(make.designId) };
      await makes.insert(kept, number, []);
      return { make: kept, entries: [] };
    });
  }

  /**
   * A make from a file, with its log, as it went out; jars aren't counted by it, for that was done where it was made.
   * @throws ProblemError 409 where it is here already with another log
   */
  bringIn(make: Make, entries: readonly LogEntry[]): Promise<LoggedMake> {
    return together(this.store, async (within) => {
      const makes = new MakesStore(within, this.learnt);
      const here = await within.selectFrom('make').where('id', '=', make.id).select('id').executeTakeFirst();
      if (here) {
        const before = await makes.one(make.id);
        if (JSON.stringify(before) === JSON.stringify({ make, entries })) return before;
        throw new ProblemError(
          409,
          'Here already',
          'This make is here already, and something else happened to it since. Nothing was changed.',
        );
      }
      const taken = await within
        .selectFrom('make')
        .where('design_id', '=', make.designId)
        .where('number', '=', make.number)
        .select('id')
        .executeTakeFirst();
      await makes.insert(make, taken ? await makes.nextNumber(make.designId) : make.number, entries);
      for (const entry of entries)
        await within
          .insertInto('make_entry')
          .values({ make_id: make.id, id: entry.id, at: entry.at, document: JSON.stringify(entry) })
          .execute();
      return { make, entries };
    });
  }

  /** @param number that it is listed under: a file's own may be taken here */
  private async insert(make: Make, number: number, entries: readonly LogEntry[]): Promise<void> {
    const standing = standingOf(make, entries);
    await this.store
      .insertInto('make')
      .values({
        id: make.id,
        design_id: make.designId,
        number,
        at: make.at,
        document: JSON.stringify(make),
        name: make.design.name,
        label: make.label,
        cups: make.cups,
        standing: JSON.stringify(standing),
        needs: JSON.stringify(needsOf(make, entries)),
        over: overBy(standing),
      })
      .execute();
    await noteWords(this.store, make.id, [wordsOfMake(make), ...entries.map(wordsOfEntry)].join(' '));
  }

  /** What was written “for next time” at the makes of a design so far, the first first. */
  private async notesFor(design: string): Promise<Make['notes']> {
    const rows = await this.store
      .selectFrom('make_entry')
      .innerJoin('make', 'make.id', 'make_entry.make_id')
      .where('make.design_id', '=', design)
      .where('make_entry.document', 'like', '%"next":true%')
      .select(['make.number', 'make_entry.document'])
      .orderBy('make_entry.row')
      .execute();
    return rows.flatMap(({ number, document }) => {
      const entry = logEntrySchema.parse(JSON.parse(document));
      return entry.what === 'note' && entry.next ? [{ coat: entry.coat, text: entry.text, number }] : [];
    });
  }

  /** Cups of a make that weren’t given up: none where they were, or where there is no such make. */
  async cupsOf(id: string): Promise<number> {
    const row = await this.store
      .selectFrom('make')
      .where('id', '=', id)
      .where('over', '<', GIVEN_UP)
      .select('cups')
      .executeTakeFirst();
    return row?.cups ?? 0;
  }

  /** Ids of the makes of a design, the first first; the latest of them where there are many. */
  async ofDesign(design: string): Promise<readonly string[]> {
    const rows = await this.store
      .selectFrom('make')
      .where('design_id', '=', design)
      .select('id')
      .orderBy('number', 'desc')
      .limit(MOST_REPEATS)
      .execute();
    return rows.map(({ id }) => id).reverse();
  }

  /** @throws ProblemError 404 where it isn't, 422 where it can't be read by this program */
  async one(id: string): Promise<LoggedMake> {
    const row = await this.store.selectFrom('make').where('id', '=', id).select('document').executeTakeFirst();
    if (!row) throw notFound('make');
    const rows = await this.store.selectFrom('make_entry').where('make_id', '=', id).select('document').orderBy('row').execute();
    return {
      make: makeSchema.parse(JSON.parse(row.document)),
      entries: rows.map(({ document }) => logEntrySchema.parse(JSON.parse(document))),
    };
  }

  /** @param now ms since 1970 */
  lines(wanted: MakesWanted, now: number): Promise<{ makes: MakeLine[]; found: number }> {
    return foundMakes(this.store, wanted, now);
  }

  /** Those on the bench, with what each has still to take from the shelf. */
  async needing(): Promise<NeedingMake[]> {
    const rows = await this.store
      .selectFrom('make')
      .where('over', '=', ON_THE_BENCH)
      .select(['id', 'name', 'number', 'label', 'needs'])
      .orderBy('at')
      .execute();
    const needing: NeedingMake[] = [];
    for (const { id, name, number, label, needs } of rows)
      needing.push({
        called: `${name}, ${label || `make ${number}`}`,
        needs: needs === null ? await this.needsOf(id) : needsSchema.parse(JSON.parse(needs)),
      });
    return needing;
  }

  /** Of a make that came from an earlier program, or out of a backup: worked out once. */
  private async needsOf(id: string): Promise<NeedingMake['needs']> {
    const { make, entries } = await this.one(id);
    const needs = needsOf(make, entries);
    await this.store
      .updateTable('make')
      .set({ needs: JSON.stringify(needs) })
      .where('id', '=', id)
      .execute();
    return needs;
  }

  /**
   * Writes what happened into a make's log; what a done coat took comes off the shelf in the same stroke, and what is undone
   * goes back. An entry that is there already isn't written again.
   * @param after how much of the log the page had seen
   * @throws ProblemError 409 with the log as it is where another window wrote in between
   */
  write(id: string, entry: LogEntry, after: number): Promise<LoggedMake> {
    return together(this.store, async (within) => {
      const { make, entries } = await new MakesStore(within, this.learnt).one(id);
      if (entries.some((one) => one.id === entry.id)) return { make, entries };
      if (entries.length !== after)
        throw new ProblemError(
          409,
          'Changed elsewhere',
          'Another window wrote to this make meanwhile. Nothing was lost: look at what it wrote, then go on.',
          { entries },
        );
      const kept = await accounted(within, { make, entries }, entry);
      await within
        .insertInto('make_entry')
        .values({ make_id: id, id: kept.id, at: kept.at, document: JSON.stringify(kept) })
        .execute();
      const all = [...entries, kept];
      await noteWords(within, id, wordsOfEntry(kept));
      await new LearntStore(within, this.learnt).take(make, all, kept);
      const standing = standingOf(make, all);
      await within
        .updateTable('make')
        .set({ standing: JSON.stringify(standing), needs: JSON.stringify(needsOf(make, all)), over: overBy(standing) })
        .where('id', '=', id)
        .execute();
      return { make, entries: all };
    });
  }
}
