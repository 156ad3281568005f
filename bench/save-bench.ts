import { fork } from 'node:child_process';
import { once } from 'node:events';
import { closeSync, fsyncSync, openSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import type { Program } from '../e2e/src/program';
import { ratioOf, type Row } from './measure';

/** Saves that are timed together: one alone is over before a clock tells. */
const MANY = 15;

/** A design that is saved over and over, each time onto what came of the last. */
async function saving(url: string, revision: number, begun: { name: string }): Promise<() => Promise<void>> {
  let parent = revision;
  let round = 0;
  const kept = async () => {
    const document = { ...begun, name: `Peat Fire ${(round += 1)}` };
    const body = JSON.stringify({ parent, document });
    const reply = await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
    ({ revision: parent } = (await reply.json()) as { revision: number });
  };
  // The wire and the program have to warm up, as they have when a maker saves.
  for (let i = 0; i < 100; i += 1) await kept();
  return async () => {
    for (let i = 0; i < MANY; i += 1) await kept();
  };
}

/** Saves over the wire into SQLite, against a bare program that does the same, and against plain writes without any wire. */
export async function saveRows(program: Program): Promise<readonly Row[]> {
  const url = `${program.address}/api/designs/peat-fire`;
  const { revision, document } = (await (await fetch(url)).json()) as { revision: number; document: { name: string } };
  const file = join(program.folder, 'plain.json');
  const bare = fork(join(import.meta.dirname, 'bare-saver.mjs'), [file], { execArgv: [] });
  const [port] = (await once(bare, 'message')) as [number];
  const saves = await saving(url, revision, document);
  const bareSaves = await saving(`http://127.0.0.1:${port}/`, revision, document);
  const overTheWire = await ratioOf(saves, bareSaves);
  bare.disconnect();
  const text = JSON.stringify(document);
  const writes = () => {
    for (let i = 0; i < MANY; i += 1) {
      const handle = openSync(file, 'w');
      writeSync(handle, text);
      fsyncSync(handle);
      closeSync(handle);
    }
  };
  const onTheDisk = await ratioOf(saves, writes);
  const each = (all: number) => `${(all / MANY).toFixed(1)} ms`;
  return [
    {
      what: 'fifteen saves, over the wire and on the disk, against a bare program that reads, writes, syncs and answers the same',
      figure: `${overTheWire.text}; ${each(overTheWire.work)} a save, ${each(overTheWire.plain)} there`,
      aim: '≤ 3 ×',
    },
    {
      what: 'the same saves against fifteen plain synced writes without a wire',
      figure: `${onTheDisk.text}; ${each(onTheDisk.plain)} a plain write`,
      aim: '≤ 3 × where a disk takes its time',
    },
  ];
}
