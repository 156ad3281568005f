import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline';
import { setTimeout as pause } from 'node:timers/promises';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import Database from 'libsql';
import { migrations } from '../server/src/store/migrations';
import { openStore } from '../server/src/store/open-store';
import { count, fault, type Part } from './report';

const ROOT = join(import.meta.dirname, '..');
const run = (script: string, words: readonly string[], environment: Record<string, string> = {}): ChildProcess =>
  spawn(process.execPath, ['--import', 'tsx', join(ROOT, script), ...words], {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: ['pipe', 'pipe', 'inherit'],
  });
/** Waits for a program's end; one that is gone already says so no second time. */
const ended = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) resolve();
    else child.once('exit', () => resolve());
  });
/** The first line a program says; one that ends without a word fails, or the campaign would wait for it for ever. */
const lineOf = (child: ChildProcess): Promise<string> =>
  new Promise((resolve, reject) => {
    if (child.stdout) createInterface({ input: child.stdout }).once('line', resolve);
    child.once('exit', (code) => reject(new Error(`it ended with ${code} before it said anything`)));
  });
const newFile = (): string => join(mkdtempSync(join(tmpdir(), 'aurantia-campaign-')), 'workshop.sqlite');

/** A file as an earlier program kept it, with something in it. */
async function olderFile(): Promise<string> {
  const file = newFile();
  const store = new Kysely<unknown>({ dialect: new SqliteDialect({ database: new Database(file) }) });
  const some = Object.fromEntries(Object.entries(migrations).slice(0, 3));
  await new Migrator({ db: store, provider: { getMigrations: () => Promise.resolve(some) } }).migrateToLatest();
  await store.destroy();
  const rows = new Database(file);
  const put = rows.prepare('insert into cup (id, document) values (?, ?)');
  for (let i = 0; i < 200; i += 1) put.run(`cup-${i}`, JSON.stringify({ i, words: 'equal parts, more or less. '.repeat(20) }));
  rows.close();
  return file;
}

/** Kills a first start or an upgrade at some moment; the next start has to open what is left, whole. */
export async function killWhileOpening(part: Part, random: () => number): Promise<void> {
  const upgrade = random() < 0.5;
  const file = upgrade ? await olderFile() : newFile();
  const child = run('campaign/open-child.ts', [file]);
  await lineOf(child);
  child.stdin?.write('go\n');
  await pause(random() * 60);
  child.kill('SIGKILL');
  await ended(child);
  try {
    const store = await openStore(file);
    const cups = await store.selectFrom('cup').selectAll().execute();
    if (upgrade && cups.length !== 200) throw new Error(`${cups.length} of 200 cups are left`);
    await store.destroy();
  } catch (error) {
    fault(part, `${upgrade ? 'an upgrade' : 'a first start'} that was killed locks the workshop out`, error);
  }
  const left = existsSync(dirname(file)) ? readdirSync(dirname(file)) : [];
  if (left.filter((name) => name.endsWith('.part')).length > 1) fault(part, 'halves of copies are left', left.join());
  rmSync(dirname(file), { recursive: true, force: true });
  count(part, upgrade ? 'kills during an upgrade' : 'kills during a first start');
}

/** Kills the program in the middle of saves; whatever it acknowledged has to be there. */
export async function killWhileSaving(part: Part, random: () => number): Promise<void> {
  const file = newFile();
  const child = run('server/dist/serve.js', [], { AURANTIA_DATA: dirname(file), AURANTIA_PORT: '0' });
  const address = /http:\S+/.exec(await lineOf(child))?.[0] ?? '';
  const send = (path: string, method: string, body: unknown) =>
    fetch(`${address}${path}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  const item = { kind: 'paint', id: 'paint', name: 'Paint', left: 1000, colour: '#8c3a1f', dryMinutes: 30 };
  let taken = 0;
  await send('/api/shelf/paint', 'PUT', { parent: null, document: item });
  void pause(100 + random() * 400).then(() => child.kill('SIGKILL'));
  try {
    for (;;) {
      const reply = await send('/api/shelf/paint/movements', 'POST', { why: 'spilt', amount: 1 });
      if (reply.ok) taken += 1;
    }
  } catch {
    // The program is gone, as it should be; what it said before counts.
  }
  await ended(child);
  const store = await openStore(file);
  const [row] = await store.selectFrom('shelf_item').select('document').execute();
  const { left } = JSON.parse(row.document) as { left: number };
  const entries = await store.selectFrom('ledger').selectAll().execute();
  await store.destroy();
  // The one under way may have come through without its answer.
  if (left > 1000 - taken || left < 1000 - taken - 1) fault(part, 'acknowledged saves are lost', `${left} left after ${taken}`);
  if (entries.length !== 1001 - left) fault(part, 'the ledger and the count differ', `${entries.length} lines, ${left} left`);
  rmSync(dirname(file), { recursive: true, force: true });
  count(part, 'acknowledged saves', taken);
  count(part, 'kills during saves');
}
