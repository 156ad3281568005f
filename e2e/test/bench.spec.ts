import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { openBrowser, press, reads, resize, tick, type, valueOf, type Browser } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import type { Program } from '../src/program';
import { programForAll } from '../src/running';

/* Cups that are made: from the card to the bench, coat by coat, with what goes wrong on the way. */
let program: Program;
let browser: Browser;
programForAll(
  (ofAll, view) => {
    program = ofAll;
    browser = view;
  },
  { graphics: false },
);

const make = async (design: string): Promise<string> => {
  await browser.get(`${program.address}/designs/${design}/card`);
  await reads(browser, 'Rest until cured through');
  await press(browser, 'Make it');
  await reads(browser, 'frozen as they are now', 'mat-dialog-container');
  await press(browser, /^To the bench/, 'mat-dialog-container button');
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  return browser.getCurrentUrl();
};
const title = () => browser.executeScript<string>('return document.querySelector("au-coat-work h2").innerText');
/** Begins the coat that is next, and says that it is on. */
const lay = async (number: number) => {
  await reads(browser, `Coat ${number} of`, 'au-coat-work');
  await press(browser, /^Begin/, '.large');
  await press(browser, 'It is on', '.large');
};
const upTo = async (says: RegExp): Promise<number> => {
  for (let number = 1; ; number += 1) {
    await reads(browser, `Coat ${number} of`, 'au-coat-work');
    if (says.test(await title())) return number;
    await lay(number);
    await program.wait(600);
  }
};

test('Copper Eaves is made from first touch to cured, over-poured once, reloaded and the program killed on the way', async () => {
  const address = await make('copper-eaves');
  expect(await violations(browser)).toEqual([]);
  const resin = await upTo(/^First resin/);
  await press(browser, 'Begin', '.large');
  await reads(browser, /Stir\s*[23]:\d\d\s*until/, 'au-coat-work');
  await press(browser, 'Used another amount');
  const planned = Number(await valueOf(browser, 'Part A'));
  await type(browser, 'Part A', String(planned + 4));
  await reads(browser, `Part B is ${(planned + 4).toFixed(1)} ml`, 'au-other-amounts');
  await press(browser, /^Pour .* of Part B/);
  await reads(browser, 'as it really was', '.tiles');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'It is on', '.large');
  await reads(browser, `Coat ${resin + 1} of`, 'au-coat-work');
  await reads(browser, /Look again in\s*1[12]:\d\d/, 'au-coat-work');
  // A program that dies and a page that is reloaded lose no moment.
  await program.wait(60);
  await program.stop('SIGKILL');
  await program.start();
  await program.wait(60);
  await browser.get(address);
  await reads(browser, /Look again\s*Look for runs and bubbles\s*since/, 'au-coat-work');
  await program.wait(600);
  await reads(browser, /Ready\s*Ready\s*since/, 'au-coat-work');
  const of = Number(
    /of (\d+)/.exec(await browser.executeScript<string>('return document.querySelector(".count").innerText'))?.[1],
  );
  for (let number = resin + 1; number < of; number += 1) {
    await lay(number);
    await program.wait(600);
  }
  await press(browser, 'It rests from now', '.large');
  await reads(browser, 'All coats are on', 'au-coat-work');
  await program.wait(100 * 60);
  await reads(browser, 'The cup is done', 'au-coat-work');
  await press(browser, 'What happened so far');
  const row = `${(planned + 4).toFixed(1)} ml`;
  await reads(
    browser,
    new RegExp(`Part A\\s+${planned.toFixed(1)} ml\\s+${row}\\s+Part B\\s+${planned.toFixed(1)} ml\\s+${row}`),
    'au-make-log',
  );
  expect(await violations(browser)).toEqual([]);
  // As it was done becomes a recipe, line by line: its amounts are those that were weighed.
  await tick(browser, /^First resin over the glitter, film: .* planned/);
  await press(browser, 'Keep it as a design of its own');
  await reads(browser, 'Copper Eaves, as make 1', 'h1.unseen');
  await reads(browser, new RegExp(`Part A\\s*${row}`));
});

test('a foot pedal’s key begins and ends a coat, a press too much is undone, and a phone shows all of it', async () => {
  await make('apiary-noon');
  await browser.findElement(By.css('body')).sendKeys(Key.PAGE_DOWN);
  await reads(browser, 'It is on', '.large');
  await browser.findElement(By.css('body')).sendKeys(Key.PAGE_DOWN);
  await reads(browser, 'Coat 2 of', 'au-coat-work');
  await press(browser, /^Undo: /);
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  await resize(browser, 390, 844);
  await browser.wait(async () => (await tooWide(browser)) <= 0, 5000, 'the bench is wider than a phone');
  await resize(browser, 820, 1180);
  await browser.wait(async () => (await tooWide(browser)) <= 0, 5000, 'the bench is wider than a tablet');
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
  await browser.get(`${program.address}/bench/none`);
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
  await press(browser, 'Those that are done, too');
  await bring('words.json', 'Dear diary');
  await reads(browser, 'This file isn’t JSON.');
  await bring('other.json', '{"format":"diary"}');
  await reads(browser, 'This is no make of Aurantia’s.');
  await bring('copy.json', file.replace(id, '01a5e7f0-0000-7000-8000-000000000001'));
  await browser.wait(async () => (await browser.getCurrentUrl()).endsWith('0001'), 10000, 'the copy never opens');
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  expect(await violations(browser)).toEqual([]);
});
