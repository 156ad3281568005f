import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { startingItem } from '@aurantia/core';
import { ProblemError } from '../server/src/http/problem';
import { memoryOf, type Memory } from '../server/src/memory';
import { openStore } from '../server/src/store/open-store';
import { count, fault, type Part } from './report';

/** Several windows write at once: every movement counts, and of two saves onto one revision one is refused. */
export async function writersAgainstEachOther(part: Part, random: () => number): Promise<void> {
  const file = join(mkdtempSync(join(tmpdir(), 'aurantia-campaign-')), 'workshop.sqlite');
  const store = await openStore(file);
  const windows = [0, 1, 2].map(() => memoryOf(store, file));
  const one = (): Memory => windows[Math.floor(random() * windows.length)];
  const item = { ...startingItem('glitter', 'shared'), left: 500 };
  await one().shelf.put([{ document: item, parent: null }], 'bought');
  let [taken, kept, refused] = [0, 0, 0];
  const work = Array.from({ length: 80 }, async (_, i) => {
    if (random() < 0.6) {
      await one().shelf.move('shared', { why: 'spilt', amount: 1 });
      taken += 1;
      return;
    }
    const before = await one().shelf.one('shared');
    try {
      await one().shelf.put([{ document: { ...before.document, name: `Name ${i}` }, parent: before.revision }], 'counted anew');
      kept += 1;
    } catch (error) {
      if (!(error instanceof ProblemError) || error.status !== 409) throw error;
      refused += 1;
    }
  });
  try {
    for (const { status, reason } of (await Promise.allSettled(work)) as PromiseRejectedResult[])
      if (status === 'rejected') fault(part, 'a writer was turned away', reason);
    const { document, revision } = await one().shelf.one('shared');
    if (document.left !== 500 - taken) fault(part, 'movements are lost', `${document.left} left after ${taken}`);
    if (revision !== 1 + kept) fault(part, 'saves are lost', `revision ${revision} after ${kept}`);
  } catch (error) {
    fault(part, 'writers against each other', error);
  }
  await store.destroy();
  rmSync(dirname(file), { recursive: true, force: true });
  count(part, 'movements', taken);
  count(part, 'saves kept', kept);
  count(part, 'saves refused with both versions', refused);
}
