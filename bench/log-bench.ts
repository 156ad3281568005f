import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { designFileSchema, settingsSchema } from '@aurantia/core';
import { logEntrySchema, makeOf, makeSchema, type LogEntry, type Make, type MakeId } from '@aurantia/core/make';
import { MakesStore } from '../server/src/makes/makes-store';
import { closeStore, openStore, type Store } from '../server/src/store/open-store';
import { together } from '../server/src/store/together';
import { ratioOf, type Row } from './measure';

const MAKES = 2000;
const ENTRIES = 20;
/** Every so manieth make has the lot that is looked for. */
const RARE = 40;

const json = (path: string): unknown => JSON.parse(readFileSync(new URL(`../demo/${path}`, import.meta.url), 'utf8'));

function makeNumbered(plain: Make, number: number): Make {
  const lot = number % RARE === 0 ? '24-B' : `L${number}`;
  return { ...plain, id: `make-${number}` as MakeId, number, shelf: plain.shelf.map((jar) => ({ ...jar, lot })) };
}

const entriesOf = ({ id, steps }: Make): LogEntry[] =>
  Array.from({ length: ENTRIES }, (_, i) =>
    logEntrySchema.parse({
      id: `${id}/${i}`,
      at: new Date(Date.UTC(2026, 0, 1, 0, i)).toISOString(),
      what: 'note',
      coat: steps[i % steps.length].coat,
      text: `A word of the ${i}th press, as long as words at a bench are`,
    }),
  );

/** Everything read and looked through, as a log in one file would be. */
async function readAll(store: Store): Promise<number> {
  let found = 0;
  for (const row of await store.selectFrom('make').select(['id', 'document']).execute()) {
    const make = makeSchema.parse(JSON.parse(row.document));
    const entries = await store.selectFrom('make_entry').where('make_id', '=', row.id).select('document').execute();
    const log = entries.map(({ document }) => logEntrySchema.parse(JSON.parse(document)));
    if (JSON.stringify([make.shelf, log]).includes('24-B')) found += 1;
  }
  return found;
}

/** Finding the makes of one lot among 2,000 with 40,000 entries, beside reading it all. */
export async function logRows(): Promise<readonly Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-bench-'));
  const store = await openStore(join(folder, 'workshop.sqlite'));
  const { design, shelf } = designFileSchema.parse(json('designs/peat-fire.json'));
  const workshop = { settings: settingsSchema.parse(json('settings.json')), shelf };
  const at = '2026-01-01T00:00:00.000Z';
  const plain = makeOf({ id: 'make' as MakeId, cups: 1, label: '' }, { design, revision: 1, workshop, number: 1, at });
  await together(store, async (within) => {
    const makes = new MakesStore(within);
    for (let number = 1; number <= MAKES; number += 1) {
      const make = makeNumbered(plain, number);
      await makes.bringIn(make, entriesOf(make));
    }
  });
  const makes = new MakesStore(store);
  const find = async (): Promise<number> => (await makes.lines({ over: true, words: '24-b' }, Date.parse(at))).found;
  if ((await find()) !== MAKES / RARE || (await readAll(store)) !== MAKES / RARE) throw new Error('Both find the same makes.');
  const { text } = await ratioOf(() => readAll(store), find, 3);
  await closeStore(store);
  rmSync(folder, { recursive: true, force: true });
  return [{ what: 'Reading 2,000 makes with 40,000 entries through, against finding those of one lot', figure: text, aim: '—' }];
}
