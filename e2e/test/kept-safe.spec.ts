import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import { menuItem, press, reads } from '../src/browser';
import { ROOT } from '../src/program';
import { browser, program, programForAll } from '../src/running';

programForAll();

const home = async () => {
  await browser.get(`${program.address}/designs`);
  await reads(browser, 'Lately on the table');
};
const keptSafe = async () => {
  await press(browser, /this workshop/);
  await press(browser, /^Kept safe/);
  await reads(browser, 'One file of everything', 'au-kept-safe');
};

test('what was removed is brought back, and a backup of before makes the workshop what it was', async () => {
  await home();
  const reply = await fetch(`${program.address}/api/backups/now.zip`);
  const file = join(mkdtempSync(join(tmpdir(), 'aurantia-backup-')), 'then.zip');
  writeFileSync(file, Buffer.from(await reply.arrayBuffer()));

  await press(browser, 'More for Peat Fire');
  await menuItem(browser, 'Remove');
  await reads(browser, 'Peat Fire is removed.');
  await keptSafe();
  await press(browser, 'Bring Peat Fire back');
  await reads(browser, 'Nothing was taken away.', 'au-kept-safe');
  await home();
  await reads(browser, 'Peat Fire', '.cups');

  await press(browser, 'More for Thistle Weave');
  await menuItem(browser, 'Remove');
  await reads(browser, 'Thistle Weave is removed.');
  await keptSafe();
  await (await browser.findElement(By.css('input[aria-label="Backup file"]'))).sendKeys(file);
  await reads(browser, /designs\s+become what they were: Thistle Weave/, 'au-kept-safe .preview');
  await press(browser, 'Restore this');
  await reads(browser, /Thistle Weave[\s\S]*6 designs|6 designs[\s\S]*Thistle Weave/, 'body');
  await keptSafe();
  await reads(browser, 'before a restore', 'au-kept-safe');
});

test('a file that is no backup is refused in words, and nothing changes', async () => {
  await home();
  await keptSafe();
  const file = join(mkdtempSync(join(tmpdir(), 'aurantia-backup-')), 'none.zip');
  writeFileSync(file, 'equal parts, more or less');
  await (await browser.findElement(By.css('input[aria-label="Backup file"]'))).sendKeys(file);
  await reads(browser, 'it is no backup, or was cut short', 'au-kept-safe [role=alert]');
});

test('by commands: a backup while the program runs, and the workshop as it was once it is stopped', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'aurantia-backup-')), 'all.zip');
  const command = (name: string, ...words: string[]) => {
    const env = { ...process.env, AURANTIA_DATA: program.folder };
    const { stdout, stderr } = spawnSync(process.execPath, [join(ROOT, 'server', 'dist', `${name}.js`), ...words], { env });
    return `${stdout}${stderr}`;
  };
  const there = async () => (await (await fetch(`${program.address}/api/designs`)).text()).includes('"Peat Fire"');

  expect(command('backup', '--help')).toMatch(/^Say where it goes: /);
  expect(command('backup', join(file, 'nowhere.zip'))).toMatch(/nowhere\.zip can’t be written .*Name a place that is there/);
  expect(command('backup', file)).toMatch(/^Everything is in .*all\.zip, \d+ kB\.$/m);
  expect((await fetch(`${program.address}/api/designs/peat-fire`, { method: 'DELETE' })).ok).toBe(true);
  expect(await there()).toBe(false);
  expect(command('restore', file, '--yes')).toMatch(/Aurantia is already running/);
  await program.stop();
  expect(command('restore', file)).toMatch(/designs: 0 come, 0 go, 1 become what they were[^]*Nothing was changed/);
  expect(command('restore', file, '--yes')).toMatch(/Restored\./);
  await program.start();
  expect(await there()).toBe(true);
});
