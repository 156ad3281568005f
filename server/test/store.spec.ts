import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline';
import { setTimeout } from 'node:timers/promises';
import { cardOf, cardText, planOf } from '@aurantia/core';
import { sql } from 'kysely';
import { migrations } from '../src/store/migrations';
import { openStore } from '../src/store/open-store';
import { together } from '../src/store/together';
import { demoFile, newFile, running } from './memory';

const ROOT = join(import.meta.dirname, '..', '..');
const { design } = demoFile('peat-fire');

const children: ReturnType<typeof spawn>[] = [];
// A test that fails half way must not leave its program running, or the run never ends.
afterEach(() => children.splice(0).forEach((child) => child.kill('SIGKILL')));

/** The real program in a process of its own. */
async function started(file: string, ...words: readonly string[]) {
  const child = spawn(process.execPath, ['server/dist/serve.js', ...words], {
    cwd: ROOT,
    env: { ...process.env, AURANTIA_DATA: dirname(file), AURANTIA_PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  const address = await new Promise<string>((resolve) => {
    createInterface({ input: child.stdout }).on('line', (line) => resolve(/http:\S+/.exec(line)?.[0] ?? ''));
  });
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  const send = (method: string, path: string, body: unknown) =>
    fetch(`${address}${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  return { child, ended, send };
}

test('a fresh file is brought up to date once, and opening it again changes nothing', async () => {
  const file = newFile();
  for (let round = 0; round < 2; round += 1) {
    const store = await openStore(file);
    const { rows } = await sql<{ name: string }>`select name from kysely_migration order by name`.execute(store);
    expect(rows.map((row) => row.name)).toEqual(Object.keys(migrations));
    const [{ journal_mode: mode }] = (await sql<{ journal_mode: string }>`pragma journal_mode`.execute(store)).rows;
    expect(mode).toBe('wal');
    await store.destroy();
  }
});

test('migrations carry dates and run in their order', () => {
  const names = Object.keys(migrations);
  expect(names).toEqual([...names].sort());
  for (const name of names) expect(name).toMatch(/^\d{4}-\d{2}-\d{2}-/);
});

test('a kill between two saves loses neither, and the work goes on', async () => {
  const file = newFile();
  const first = await started(file);
  expect((await first.send('POST', '/api/designs', design)).status).toBe(201);
  expect(
    (await first.send('PUT', `/api/designs/${design.id}`, { parent: 1, document: { ...design, name: 'Before' } })).status,
  ).toBe(200);
  first.child.kill('SIGKILL');
  await first.ended;
  const second = await started(file);
  expect(
    (await second.send('PUT', `/api/designs/${design.id}`, { parent: 2, document: { ...design, name: 'After' } })).status,
  ).toBe(200);
  second.child.kill('SIGTERM');
  expect(await second.ended).toBe(0);
  const server = await running(file);
  expect((await server.ask('GET', `/api/designs/${design.id}`)).body).toMatchObject({ revision: 3, document: { name: 'After' } });
  await server.stop();
});

test('begun ahead, cups are painted before anybody asks to see them', async () => {
  const file = newFile();
  const first = await started(file);
  expect((await first.send('POST', '/api/designs', design)).status).toBe(201);
  first.child.kill('SIGKILL');
  await first.ended;
  const store = await openStore(file);
  const painted = async (): Promise<string[]> => {
    const rows = await store.selectFrom('summary').select('design_id').execute();
    return rows.map((row) => row.design_id);
  };
  expect(await painted()).toEqual([]);
  const { child, ended } = await started(file, '--ahead');
  while ((await painted()).length === 0 && child.exitCode === null) await setTimeout(50);
  expect(await painted()).toEqual([design.id]);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
  await store.destroy();
});

test('whoever asks beside their own transaction is told at once, and nobody behind them waits', async () => {
  const store = await openStore(newFile());
  const beside = together(store, async (within) => {
    await within.selectFrom('cup').selectAll().execute();
    return store.selectFrom('cup').selectAll().execute();
  });
  const behind = together(store, (within) => within.selectFrom('cup').selectAll().execute());
  await expect(beside).rejects.toThrow('beside its own transaction');
  expect(await behind).toEqual([]);
  expect(await together(store, (within) => together(within, (same) => same.selectFrom('cup').selectAll().execute()))).toEqual([]);
  await store.destroy();
});

describe('the command line', () => {
  const card = (words: string[], input?: string) =>
    spawnSync('npm', ['run', '-s', 'card', '--', ...words], {
      cwd: ROOT,
      encoding: 'utf8',
      input,
      env: { ...process.env, npm_config_loglevel: 'silent' },
    });
  const path = join(ROOT, 'demo', 'designs', 'peat-fire.json');
  const { shelf, settings } = demoFile('peat-fire');
  const plan = planOf(design, { shelf, settings });

  test('prints the card the core lays out, from a file or from standard input', () => {
    const text = cardText(cardOf(plan, design, settings));
    expect(card([path])).toMatchObject({ status: 0, stdout: text });
    expect(card(['-'], readFileSync(path, 'utf8'))).toMatchObject({ status: 0, stdout: text });
  });
  test('prints the plan', () => expect(JSON.parse(card([path, '--json']).stdout)).toEqual(JSON.parse(JSON.stringify(plan))));
  test('a bad file ends with 2 and each fault', () => {
    const bad = join(mkdtempSync(join(tmpdir(), 'aurantia-card-')), 'bad.json');
    writeFileSync(
      bad,
      readFileSync(path, 'utf8').replace('"mm": 93', '"mm": 400').replace('"spoonStep": 0.5', '"spoonStep": -1'),
    );
    const { status, stderr, stdout } = card([bad]);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toContain('settings.spoonStep: The finest step is 0.1 ml.');
    expect(stderr).toMatch(/design\.areas\[0\]\.upper\.level: .*ends at 150 mm/);
    expect(card([]).status).toBe(2);
    expect(card([`${bad}.nowhere`]).status).toBe(2);
  });
});
