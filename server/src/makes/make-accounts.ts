import type { ShelfItemId } from '@aurantia/core';
import { caughtOf, jarForCaught, takenFrom, type LogEntry, type LogEntryOf, type Make, type MakeStep } from '@aurantia/core/make';
import { v7 } from 'uuid';
import { ProblemError } from '../http/problem';
import { ShelfStore } from '../shelf/shelf-store';
import type { Store } from '../store/open-store';

/** A make with all that happened to it. */
export interface LoggedMake {
  readonly make: Make;
  readonly entries: readonly LogEntry[];
}

/** An entry as it is kept, once the shelf was counted by it. */
export async function accounted(within: Store, { make, entries }: LoggedMake, entry: LogEntry): Promise<LogEntry> {
  if (!('coat' in entry) || entry.coat === null) return entry;
  const step = make.steps.find(({ coat }) => coat === entry.coat);
  if (!step) throw new ProblemError(422, 'Not accepted', 'This make has no such coat. Open it anew.');
  const last = entries.findLast(
    (one): one is LogEntryOf<'done' | 'undone'> => (one.what === 'done' || one.what === 'undone') && one.coat === entry.coat,
  );
  if (entry.what === 'done') {
    if (last?.what === 'done')
      throw new ProblemError(409, 'Done already', `${step.title} is done already. Undo it first.`, { entries });
    return { ...entry, took: await take(within, make, step, entry.poured) };
  }
  if (entry.what === 'kept') return keep(within, { make, entries }, step, entry);
  if (entry.what === 'undone' && last?.what === 'done') {
    const shelf = new ShelfStore(within);
    for (const one of entries.slice(entries.indexOf(last)))
      if (one.what === 'kept' && one.coat === entry.coat)
        await shelf.draw(one.jar, one.gave, `${nameOf(make)}: ${step.title}, undone`);
    for (const [item, amount] of Object.entries(last.took))
      await shelf.draw(item, -amount, `${nameOf(make)}: ${step.title}, undone`);
  }
  return entry;
}

/** What was caught under a coat goes back into its jar, or with the leftovers of its mix. */
async function keep(
  within: Store,
  { make, entries }: LoggedMake,
  step: MakeStep,
  entry: LogEntryOf<'kept'>,
): Promise<LogEntryOf<'kept'>> {
  const done = entries.findLast((one): one is LogEntryOf<'done'> => one.what === 'done' && one.coat === entry.coat);
  const caught = caughtOf(make, step, done?.poured ?? {}).find(({ place }) => place === entry.place);
  if (!caught || entry.ml > caught.poured)
    throw new ProblemError(
      422,
      'Not accepted',
      caught ? `${caught.poured} ml were poured on ${caught.name}: no more can be caught.` : 'Nothing was poured there.',
    );
  const shelf = new ShelfStore(within);
  const found = jarForCaught(make, caught, await shelf.items(), v7() as ShelfItemId);
  if (!found) throw new ProblemError(409, 'No jar', 'Its jar is off the shelf. Put it back there, or keep the mix elsewhere.');
  const { jar, isNew } = found;
  const why = `${nameOf(make)}: caught, ${step.title}`.slice(0, 120);
  if (isNew) await shelf.put([{ document: jar, parent: null }], why);
  return { ...entry, into: jar.name, jar: jar.id, gave: -(await shelf.draw(jar.id, -entry.ml, why)) };
}

const nameOf = ({ design, number }: Make): string => `${design.name.slice(0, 50)}, make ${number}`;

async function take(
  within: Store,
  make: Make,
  step: MakeStep,
  poured: Readonly<Record<string, number>>,
): Promise<Record<string, number>> {
  const shelf = new ShelfStore(within);
  const took: Record<string, number> = {};
  for (const { item, amount } of takenFrom(step, poured)) {
    const really = await shelf.draw(item, amount, `${nameOf(make)}: ${step.title}`.slice(0, 120));
    if (really > 0) took[item] = really;
  }
  return took;
}
