import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { v7 } from 'uuid';
import { make, upTo } from '../src/at-the-bench';
import { openBrowser, PATIENCE, press, reads, resize, tick, type, valueOf } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { browser, program, programForAll, visit } from '../src/running';

/* At the bench: keys, what goes wrong, two windows, cups that aren't there, files of makes. */
programForAll();

const jar = async () => {
  const shelf = (await (await fetch(`${program.address}/api/shelf`)).json()) as {
    id: string;
    document: { name: string; left: number };
  }[];
  return shelf.find(({ id }) => id === 'penny-rain')?.document ?? { name: 'nothing', left: NaN };
};
const said = () => browser.executeScript<string>('return document.querySelector("au-from-here").innerText');

test('a foot pedal’s key begins and ends a coat, a press too much is undone, and a phone shows all of it', async () => {
  await make('apiary-noon');
  await browser.findElement(By.css('body')).sendKeys(Key.PAGE_DOWN);
  await reads(browser, 'It is on', '.large');
  await browser.findElement(By.css('body')).sendKeys(Key.PAGE_DOWN);
  await reads(browser, 'Coat 2 of', 'au-coat-work');
  await press(browser, /^Undo: /);
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  await resize(browser, 390, 844);
  await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'the bench is wider than a phone');
  await resize(browser, 820, 1180);
  await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'the bench is wider than a tablet');
  await resize(browser, 1280, 800);
});

test('what goes wrong is answered at once, a coat is left out for a reason, and a word comes back next time', async () => {
  await make('thistle-weave');
  await upTo(/^Glue/);
  await press(browser, 'Something looks wrong');
  await press(browser, 'A jar is missing', 'au-went-wrong [role=option]');
  await reads(browser, /^For .* take /m, 'au-went-wrong .answer');
  await type(browser, 'In your own words, or why', 'Thinner here');
  await tick(browser, 'remind me of it at this coat next time');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'Write it down');
  await reads(browser, 'Thinner here', '.note');
  await press(browser, 'Something looks wrong');
  await type(browser, 'In your own words, or why', 'a trial cup');
  await press(browser, 'Leave this coat out');
  await reads(browser, 'left out', 'au-make-rail');
  await press(browser, 'Something looks wrong');
  await type(browser, 'In your own words, or why', 'it fell');
  await press(browser, 'Give this cup up');
  await reads(browser, 'Take it up again', 'au-coat-work');
  await make('thistle-weave');
  await upTo(/^Glue/);
  await reads(browser, 'From make 1: Thinner here', '.note');
});

test('too little glitter says what stays bare while it is typed, and the resin over it is planned anew and taken by one press', async () => {
  await make('copper-eaves');
  await upTo(/^Glitter/);
  await press(browser, 'Used another amount');
  for (const jar of ['Quarry Moss, Foot', 'Penny Rain, Eaves', 'Rust Road, Ridge']) await type(browser, jar, '0.2');
  await reads(browser, /Foot: \d+ % stays bare, \d+ % planned/, 'au-from-here');
  expect(await violations(browser)).toEqual([]);
  await press(browser, /^Begin/, '.large');
  await press(browser, 'It is on', '.large');
  await reads(browser, 'First resin over the glitter will take', 'au-from-here');
  await press(browser, /^Caught on the paper/, 'button');
  await type(browser, 'Eaves', '0.6');
  await type(browser, 'Ridge', '0.4');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'Put it back', 'au-caught button');
  await browser.wait(
    async () => (await browser.findElements(By.css('au-caught'))).length === 0,
    PATIENCE,
    'it is never put back',
  );
  await program.wait(600);
  await upTo(/^First resin/, 5);
  await reads(browser, /takes [\d.]+ ml of Part A \([\d.]+ ml planned\)/, 'au-from-here');
  const [, less, planned] = /takes ([\d.]+) ml of Part A \(([\d.]+) ml/.exec(await said()) ?? [];
  expect(Number(less)).toBeLessThan(Number(planned));
  await press(browser, 'Take these', 'au-from-here button');
  await reads(browser, new RegExp(`Part A\\s+${less} ml`), '[aria-label=Amounts]');
  // What was laid is off the shelf, on a page that was open all the while; it goes on going down while somebody looks at it.
  const { name, left } = await jar();
  await visit('/shelf?item=penny-rain');
  await browser.wait(async () => (await valueOf(browser, 'Left')) === left.toFixed(1), PATIENCE, `${name} isn’t ${left} ml`);
  await program.send('POST', 'shelf/penny-rain/movements', { why: 'counted anew', amount: 2.5 });
  await program.send('POST', 'makes', { id: v7(), design: 'peat-fire', cups: 1 });
  await browser.wait(async () => (await valueOf(browser, 'Left')) === '2.5', PATIENCE, 'the shelf never follows');
});

test('the header says what runs out first of what the bench will take, and the list what to buy; leftovers are on the shelf', async () => {
  await program.send('POST', 'makes', { id: v7(), design: 'copper-eaves', cups: 20 });
  await visit('/shelf');
  await reads(browser, 'Leftover of Copper Eaves, Ridge');
  await press(browser, /runs out: what the bench will take/, 'header button');
  await reads(browser, /\d ml to buy|full ones?\) to buy/, 'au-needs-dialog');
  await reads(browser, /runs out at Copper Eaves, make \d+: /, 'au-needs-dialog');
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 844);
  await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'the list is wider than a phone');
  await resize(browser, 1280, 800);
});

test('two windows at one cup: the other one shows at once what was pressed here, and nothing is written twice', async () => {
  const address = await make('orchard-frost');
  const other = await openBrowser(false);
  try {
    await other.get(address);
    await reads(other, 'Coat 1 of', 'au-coat-work');
    await press(browser, 'Begin', '.large');
    await reads(other, 'It is on', '.large');
    await press(other, 'It is on', '.large');
    await reads(browser, 'Coat 2 of', 'au-coat-work');
  } finally {
    await other.quit();
  }
});

test('a cup that isn’t there is a sentence with a way out, and so is an empty bench’s design without coats', async () => {
  await visit('/bench/none');
  await reads(browser, 'This make isn’t here');
  await press(browser, 'What is on the bench', 'a');
  await reads(browser, /Coat \d+ of/, 'au-coat-work');
});

test('a make’s file that is none, or whose make went elsewhere, comes in or says why not', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'aurantia-make-'));
  const bring = async (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    await (await browser.findElement(By.css('input[aria-label="File of a make"]'))).sendKeys(join(folder, name));
  };
  const address = await make('slate-and-saffron');
  const id = address.slice(address.lastIndexOf('/') + 1);
  const file = await (await fetch(`${program.address}/api/makes/${id}/file`)).text();
  await visit('/log');
  await reads(browser, /Saffron, make 1/);
  await bring('words.json', 'Dear diary');
  await reads(browser, 'This file isn’t JSON.');
  await bring('other.json', '{"format":"diary"}');
  await reads(browser, 'This is no make of Aurantia’s.');
  await bring('copy.json', file.replace(id, '01a5e7f0-0000-7000-8000-000000000001'));
  await browser.wait(async () => (await browser.getCurrentUrl()).endsWith('0001'), PATIENCE, 'the copy never opens');
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  expect(await violations(browser)).toEqual([]);
});
