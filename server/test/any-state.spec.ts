import { dirname, join } from 'node:path';
import { randomStream, startingItem, type Design, type DesignPage } from '@aurantia/core';
import { Backups } from '../src/backup/backups';
import { demoFile, newFile, running } from './memory';

/** Pictures and lines are worked out anew in the other workshop, each in its own time. */
const without = (body: unknown): string =>
  JSON.stringify(body, (key, value: unknown) => (['line', 'level', 'picture', 'fresh'].includes(key) ? undefined : value));

/** What a maker may do to a workshop, drawn by a seed: make, change, remove, bring back, move, describe. */
async function anyDoings(ask: Awaited<ReturnType<typeof running>>['ask'], random: () => number): Promise<void> {
  const names = ['peat-fire', 'copper-eaves', 'apiary-noon'] as const;
  const file = demoFile(names[Math.floor(random() * names.length)]);
  const jar = file.shelf[Math.floor(random() * file.shelf.length)];
  const { body } = await ask('GET', `/api/designs/${file.design.id}`);
  const kept = body as { revision?: number; document: Design };
  switch (Math.floor(random() * 8)) {
    case 0:
      await ask('POST', '/api/designs/import', file);
      break;
    case 1:
      if (kept.revision)
        await ask('PUT', `/api/designs/${file.design.id}`, {
          parent: kept.revision,
          document: { ...kept.document, name: `Name ${random()}` },
        });
      break;
    case 2:
      await ask('DELETE', `/api/designs/${file.design.id}`);
      break;
    case 3:
      await ask('DELETE', `/api/shelf/${jar.id}`);
      break;
    case 4:
      await ask('POST', `/api/shelf/${jar.id}/movements`, { why: 'bought', amount: Math.round(random() * 100) / 10 });
      break;
    case 5:
      await ask('PUT', `/api/shelf/new-${Math.floor(random() * 3)}`, { parent: null, document: startingItem('paint', 'x') });
      break;
    case 6:
      await ask('POST', `/api/shelf/${jar.id}/restore`, {});
      break;
    default:
      await ask('PUT', '/api/cups/mug', { parent: null, document: { ...file.design.cup, name: `Cup ${random()}` } });
  }
}

test('whatever was done to a workshop, its backup makes another one the same, and each design comes back from its file', async () => {
  const random = randomStream(20261126);
  const one = await running(newFile());
  for (let round = 0; round < 6; round += 1) {
    for (let i = 0; i < 12; i += 1) await anyDoings(one.ask, random);
    const file = newFile();
    const other = await running(file);
    const backups = (of: typeof one, folder: string) => new Backups(of.store, join(folder, 'backups'));
    const bytes = await backups(one, dirname(file)).make();
    await backups(other, dirname(file)).restore(bytes);
    expect(Buffer.from(await backups(other, dirname(file)).make()).equals(Buffer.from(bytes))).toBe(true);
    for (const place of ['designs', 'designs/removed', 'shelf', 'shelf/gone', 'cups', 'workshop'])
      expect(without((await other.ask('GET', `/api/${place}`)).body)).toBe(without((await one.ask('GET', `/api/${place}`)).body));
    const empty = await running(newFile());
    for (const { id } of ((await one.ask('GET', '/api/designs')).body as DesignPage).designs) {
      const { document } = (await one.ask('GET', `/api/designs/${id}`)).body as { document: Design };
      const saved = await one.ask('GET', `/api/designs/${document.id}/file`);
      const brought = await empty.ask('POST', '/api/designs/import', saved.body);
      expect(brought).toMatchObject({ status: 201, body: { document } });
    }
    await other.stop();
    await empty.stop();
  }
  await one.stop();
});
