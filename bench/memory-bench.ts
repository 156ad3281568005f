import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { designFileSchema, type DesignId, type ShelfItemId } from '@aurantia/core';
import { sql } from 'kysely';
import { Program } from '../e2e/src/program';
import { fillWithDemo } from '../server/src/demo';
import { DesignsStore } from '../server/src/designs/designs-store';
import { memoryOf } from '../server/src/memory';
import { closeStore, openStore } from '../server/src/store/open-store';
import { medianOfAsync, type Row } from './measure';

const design = (name: string) =>
  designFileSchema.parse(JSON.parse(readFileSync(join(import.meta.dirname, '..', 'demo', 'designs', `${name}.json`), 'utf8')))
    .design;
const NAMES = ['peat-fire', 'copper-eaves', 'apiary-noon', 'thistle-weave', 'slate-and-saffron', 'orchard-frost'];

/** A workshop of ten thousand designs and two thousand jars. */
async function largeWorkshop(folder: string): Promise<void> {
  const file = join(folder, 'workshop.sqlite');
  const store = await openStore(file);
  const memory = memoryOf(store, file);
  await fillWithDemo(memory);
  const designs = NAMES.map(design);
  await memory.together(async ({ designs: kept }) => {
    for (let i = 0; i < 10_000; i += 1) {
      const one = designs[i % designs.length];
      await kept.create({ ...one, id: `many-${i}` as DesignId, name: `${one.name} ${i}` });
    }
  });
  const jars = (await memory.shelf.items()).filter(({ kind }) => kind === 'glitter');
  const more = Array.from({ length: 2000 }, (_, i) => {
    const jar = jars[i % jars.length];
    return { document: { ...jar, id: `jar-${i}` as ShelfItemId, name: `${jar.name} ${i}` }, parent: null };
  });
  await memory.shelf.put(more, 'bought');
  await memory.aside.close();
  await closeStore(store);
}

/** How soon a large workshop answers while pictures are got ready aside, and what it holds. */
export async function largeRows(): Promise<readonly Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-large-'));
  await largeWorkshop(folder);
  const program = new Program(false, folder);
  await program.start();
  try {
    const answers = async (path: string) => {
      await (await fetch(`${program.address}${path}`)).text();
      const times: number[] = [];
      await medianOfAsync(25, async () => {
        const begun = performance.now();
        await (await fetch(`${program.address}${path}`)).text();
        times.push(performance.now() - begun);
      });
      times.sort((a, b) => a - b);
      return `${times[12].toFixed(0)} ms (${times[0].toFixed(0)}–${times[24].toFixed(0)})`;
    };
    const rows: Row[] = [];
    for (const [what, path] of [
      ['home', '/api/designs?limit=100'],
      ['home, its hundredth page', '/api/designs?from=9900&limit=100'],
      ['a search', '/api/designs?search=eaves%2099'],
      ['the shelf', '/api/shelf'],
    ] as const)
      rows.push({
        what: `10,000 designs and 2,000 jars: ${what}, a reply while pictures are got ready`,
        figure: await answers(path),
        aim: '≤ 50 ms',
      });
    rows.push({ what: '10,000 designs and 2,000 jars: memory at the most', figure: await heldMost(program), aim: '≤ 300 MB' });
    return rows;
  } finally {
    await program.end();
  }
}

/** Once today's backup lies in its folder, everything was looked through for what can't be read, and a backup was asked for. */
async function heldMost(program: Program): Promise<string> {
  const backups = async (): Promise<readonly unknown[]> =>
    (await (await fetch(`${program.address}/api/backups`)).json()) as unknown[];
  while ((await backups()).length === 0) await new Promise((resolve) => setTimeout(resolve, 200));
  const daily = program.mostMemory();
  await (await fetch(`${program.address}/api/workshop/unreadable?anew=true`)).text();
  await (await fetch(`${program.address}/api/backups/now.zip`)).arrayBuffer();
  return `${daily.toFixed(0)} MB up to the day’s backup, ${program.mostMemory().toFixed(0)} MB after another and a look through everything`;
}

const DAY = 24 * 3_600_000;

/** What a file grows by in a year of six hundred autosaves a day: ten days of it, after thirty-five, times 36.5. */
export async function growthRow(): Promise<Row> {
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-growth-'));
  const file = join(folder, 'workshop.sqlite');
  const store = await openStore(file);
  // A year in some seconds: what is written counts here, not how surely.
  await sql`pragma synchronous = off`.execute(store);
  let now = Date.UTC(2026, 0, 1);
  const designs = new DesignsStore(store, () => new Date(now));
  const document = design('copper-eaves');
  let { revision } = await designs.create(document);
  const size = async () => {
    await sql`pragma wal_checkpoint(truncate)`.execute(store);
    return statSync(file).size;
  };
  let before = 0;
  for (let day = 0; day < 45; day += 1) {
    if (day === 35) before = await size();
    for (let i = 0; i < 600; i += 1) {
      // Two sittings a day, of three hours each.
      now = Date.UTC(2026, 0, 1) + day * DAY + (i < 300 ? 9 : 15) * 3_600_000 + (i % 300) * 36_000;
      ({ revision } = await designs.save({ ...document, name: `Copper Eaves ${day}.${i}` }, revision));
    }
  }
  const grown = ((await size()) - before) * 36.5;
  await store.destroy();
  rmSync(folder, { recursive: true, force: true });
  return {
    what: 'the workshop’s file after a year of 600 autosaves a day, against keeping every one',
    figure: `${(grown / 1e6).toFixed(0)} MB against ${((600 * 365 * JSON.stringify(document).length) / 1e6).toFixed(0)} MB`,
    aim: '≤ 50 MB',
  };
}
