import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Kysely, Migrator, sql, SqliteDialect } from 'kysely';
import Database from 'libsql';
import { migrations } from '../src/store/migrations';
import { claimFolder } from '../src/store/one-program';
import { closeStore, openStore } from '../src/store/open-store';
import { troubleOf } from '../src/store/store-error';
import { newFile } from './memory';

const bytesOf = (file: string) => readFileSync(file).toString('base64');
const modeOf = (path: string) => (statSync(path).mode & 0o777).toString(8);

/** A file as an earlier program kept it: the first migrations, each statement on its own, perhaps cut off before the next. */
async function older(file: string, migrated: number): Promise<void> {
  const store = new Kysely<unknown>({ dialect: new SqliteDialect({ database: new Database(file) }) });
  const some = Object.fromEntries(Object.entries(migrations).slice(0, migrated));
  await new Migrator({ db: store, provider: { getMigrations: () => Promise.resolve(some) } }).migrateToLatest();
  await store.destroy();
}

describe('what can’t be opened says what it is, and stays as it was to the byte', () => {
  test('a file of something else', async () => {
    const file = newFile();
    writeFileSync(file, 'equal parts, more or less. '.repeat(400));
    const before = bytesOf(file);
    await expect(openStore(file)).rejects.toMatchObject({
      trouble: 'foreign',
      message: expect.stringContaining('Move it elsewhere'),
    });
    expect(bytesOf(file)).toBe(before);
  });
  test('a database of something else', async () => {
    const file = newFile();
    const other = new Database(file);
    other.exec('create table recipe (id)');
    other.close();
    const before = bytesOf(file);
    await expect(openStore(file)).rejects.toMatchObject({ trouble: 'foreign' });
    expect(bytesOf(file)).toBe(before);
  });
  test('one of a newer program', async () => {
    const file = newFile();
    const store = await openStore(file);
    await sql`insert into kysely_migration values ('2099-01-01-later', '2099-01-01')`.execute(store);
    await store.destroy();
    const before = bytesOf(file);
    await expect(openStore(file)).rejects.toMatchObject({ trouble: 'newer', message: expect.stringContaining('newer Aurantia') });
    expect(bytesOf(file)).toBe(before);
  });
  test('a damaged one', async () => {
    const file = newFile();
    await closeStore(await openStore(file));
    const bytes = readFileSync(file);
    bytes.fill(0x5a, 4096, 16384);
    writeFileSync(file, bytes);
    await expect(openStore(file)).rejects.toMatchObject({ trouble: 'damaged', message: expect.stringContaining('backups') });
    expect(readFileSync(file).equals(bytes)).toBe(true);
  });
  test('one held by another program', async () => {
    const file = newFile();
    await older(file, 2);
    const other = new Database(file);
    other.exec('begin exclusive');
    await expect(openStore(file)).rejects.toMatchObject({ trouble: 'locked' });
    other.exec('rollback');
    other.close();
    await (await openStore(file)).destroy();
  });
  test.each([
    ['SQLITE_FULL', 'full'],
    ['ENOSPC', 'full'],
    ['SQLITE_READONLY_DIRECTORY', 'read-only'],
    ['EROFS', 'read-only'],
    ['SQLITE_IOERR', 'unknown'],
  ])('%s is “%s”', (code, trouble) => expect(troubleOf(Object.assign(new Error('x'), { code }))).toBe(trouble));
});

test('a start that an earlier program was killed in, between any two statements, is finished by this one', async () => {
  const whole = newFile();
  await older(whole, 3);
  const source = new Database(whole);
  const statements = (
    source
      .prepare(`select sql from sqlite_master where sql is not null and name not like 'kysely%' and name not like 'sqlite%'`)
      .raw(true)
      .all() as [string][]
  ).map(([one]) => one);
  source.close();
  for (let done = 0; done <= statements.length; done += 1) {
    const file = newFile();
    await older(file, 0);
    const cut = new Database(file);
    for (const statement of statements.slice(0, done)) cut.exec(statement);
    cut.close();
    const store = await openStore(file);
    expect(await store.selectFrom('palette').selectAll().execute()).toEqual([]);
    await store.destroy();
  }
});

test('before an upgrade a whole copy is set aside, and an upgrade that fails changes nothing', async () => {
  const file = newFile();
  await older(file, 2);
  const old = new Database(file);
  old.exec(`insert into cup (id, document) values ('mug', '{}')`);
  // Something stands where the next migration wants to make its table.
  old.exec('create table palette (mine)');
  old.exec('insert into palette values (1)');
  old.close();
  await expect(openStore(file)).rejects.toThrow();
  const after = new Database(file);
  expect(after.prepare('select name from kysely_migration').all()).toHaveLength(2);
  expect(after.prepare('pragma table_info(cup)').all()).toHaveLength(4);
  after.exec('drop table palette');
  after.close();
  const store = await openStore(file);
  expect(await store.selectFrom('cup').select(['id', 'revision']).execute()).toEqual([{ id: 'mug', revision: 1 }]);
  await store.destroy();
  const [copy] = readdirSync(dirname(file)).filter((name) => name.startsWith('workshop-before-upgrade'));
  const aside = new Database(join(dirname(file), copy));
  expect(aside.prepare('select id from cup').all()).toEqual([{ id: 'mug' }]);
  aside.close();
});

test('the folder and its files are the maker’s alone', async () => {
  const file = newFile();
  await (await openStore(file)).destroy();
  expect([modeOf(dirname(file)), modeOf(file), modeOf(`${file}-wal`)]).toEqual(['700', '600', '600']);
});

test('a folder has one program; a second is told where the first one is, and the claim goes with it', () => {
  const folder = dirname(newFile());
  const first = claimFolder(folder);
  first.at('http://127.0.0.1:4310');
  expect(() => claimFolder(folder)).toThrow(/already running .* open http:\/\/127\.0\.0\.1:4310/);
  first.free();
  claimFolder(folder).free();
});

test('a file with a log left by a killed program, and nothing beside it, is opened with all that lies in the log', async () => {
  const file = newFile();
  const store = await openStore(file);
  await store.insertInto('cup').values({ id: 'mug', document: '{}', removed_at: null }).execute();
  // What a kill leaves: the log, not yet worked in, and no index of it.
  const left = newFile();
  for (const part of ['', '-wal']) writeFileSync(left + part, readFileSync(file + part));
  await store.destroy();
  const again = await openStore(left);
  expect(await again.selectFrom('cup').select('id').execute()).toEqual([{ id: 'mug' }]);
  await again.destroy();
});

test('what is new comes after all that a workshop has been through: one of any day before opens', () => {
  const landed = [
    '2026-11-25-first-tables',
    '2026-11-25-ledger',
    '2026-11-25-palettes',
    '2026-11-26-revisions',
    '2026-11-26-summaries',
    '2026-11-27-tags',
    '2026-11-28-makes',
    '2026-11-29-photos',
    '2026-11-29-readings',
    '2026-11-29-words-of-makes',
    '2026-11-30-needs',
    '2026-11-30-sharing',
    '2026-11-30-week',
    '2026-12-02-painted',
  ];
  expect(Object.keys(migrations).sort().slice(0, landed.length)).toEqual(landed);
});
