import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import type { Order } from '@aurantia/core/order';
import type { WeekData } from '@aurantia/core/week';
import { choose, menuItem, openBrowser, PATIENCE, press, reads, resize, type, valueOf } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { Program } from '../src/program';
import { browser, program, programForAll, visit } from '../src/running';

/* The week and the money: orders are taken, planned, pinned, replanned, priced and handed on. */
programForAll();

const ask = async <Reply>(path: string): Promise<Reply> =>
  (await (await fetch(`${program.address}/api/${path}`)).json()) as Reply;
const zone = () => browser.executeScript<string>('return Intl.DateTimeFormat().resolvedOptions().timeZone');
const book = async () => ask<WeekData>(`week?zone=${encodeURIComponent(await zone())}`);
const settled = () => reads(browser, 'Plan anew', '.head');
const steps = () =>
  browser.executeScript<string[]>(
    'return [...document.querySelectorAll("au-board button.hands")].map((one) => one.getAttribute("aria-label"))',
  );

/** The week once its plan is worked out and kept. */
async function openWeek(): Promise<void> {
  await visit('/week');
  await reads(browser, 'is cured through');
  await settled();
  await browser.wait(async () => (await book()).book.placed.length > 0, PATIENCE, 'no plan is kept');
}

test('five orders are planned in time; arrows and page keys go through the board', async () => {
  await openWeek();
  await reads(browser, /^8 cups, all in time; the last is cured through/m, '.said');
  await reads(browser, /No plan can end/, '.said');
  expect(await browser.findElements(By.css('au-board li'))).toHaveLength(5);
  expect(await violations(browser)).toEqual([]);
  // What stands there now may begin tomorrow, where the day is over.
  await press(browser, 'All of it', 'mat-button-toggle button');
  const focused = () => browser.executeScript<string>('return document.activeElement.getAttribute("aria-label") ?? ""');
  await browser.executeScript('document.querySelector("au-board button.hands[tabindex=\'0\']").focus()');
  const first = await focused();
  await browser.switchTo().activeElement().sendKeys(Key.ARROW_RIGHT);
  expect(await focused()).not.toBe(first);
  await browser.switchTo().activeElement().sendKeys(Key.ARROW_DOWN);
  await reads(browser, /Next can follow/, 'au-step-panel');
  const title = await browser.executeScript<string>('return document.querySelector("au-step-panel h2").innerText');
  expect(await focused()).toContain(title.split(', then')[0]);
  await press(browser, 'A day', 'mat-button-toggle button');
  const day = () => browser.executeScript<string>('return document.querySelector(".day h2").innerText');
  const today = await day();
  await browser.executeScript(
    'document.querySelector("au-board").dispatchEvent(new KeyboardEvent("keydown", { key: "PageDown", bubbles: true }))',
  );
  await browser.wait(async () => (await day()) !== today, PATIENCE, 'the day is not turned');
  await browser.executeScript(
    'document.querySelector("au-board").dispatchEvent(new KeyboardEvent("keydown", { key: "Home", bubbles: true }))',
  );
  await browser.wait(async () => (await day()) === today, PATIENCE, 'the day is not turned back');
});

test('a step is pinned, somebody is ill, a turner more: the plan follows and says what moved', async () => {
  await openWeek();
  await press(browser, 'All of it', 'mat-button-toggle button');
  await browser.executeScript('[...document.querySelectorAll("au-board li:nth-child(5) button.hands")].at(0).click()');
  const { jobs } = await book();
  const last = jobs[4];
  const at = Math.ceil(((await book()).now + 2 * 86_400_000) / 60_000);
  const day = await browser.executeScript<string>(
    'const d = new Date(arguments[0]); return `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, "0")}-${String(d.getDate()).padStart(2, "0")}`',
    at * 60_000,
  );
  await type(browser, 'Begin on', day);
  await type(browser, 'at', '10:30');
  await press(browser, 'Pin it there', 'au-step-panel button');
  await reads(browser, 'Take the pin out', 'au-step-panel');
  await settled();
  await browser.wait(async () => (await book()).book.pins.length === 1, PATIENCE, 'no pin is kept');
  await reads(browser, /moved by that/, '.moved');
  const kept = await book();
  const pin = kept.book.pins[0];
  await browser.wait(
    async () =>
      (await book()).book.placed.some(({ job, work, at: begins }) => job === last.id && work === pin.work && begins === pin.at),
    PATIENCE,
    'the pin isn’t in the plan',
  );
  await press(browser, 'Hands and arms', '.head button');
  await reads(browser, 'Whose hands, and when', 'mat-dialog-container');
  expect(await violations(browser)).toEqual([]);
  await type(browser, 'Turner arms', '6');
  await reads(browser, /cups, .*is cured through/, '.comes');
  await press(browser, 'Not there then', 'mat-dialog-container button');
  await reads(browser, /Everybody: /, 'mat-dialog-container');
  await press(browser, 'Keep it', 'mat-dialog-container button');
  await browser.wait(async () => (await book()).book.means.arms === 6, PATIENCE, 'the arms aren’t kept');
  await settled();
  const after = await book();
  expect(after.book.blocks).toHaveLength(1);
  const today = after.book.blocks[0].from.day;
  const label = await browser.executeScript<string>(
    'return new Date(arguments[0]).toLocaleDateString("en-GB", { weekday: "short" })',
    `${today}T12:00`,
  );
  await browser.wait(
    async () => (await steps()).every((one) => !one.includes(`: ${label} `)),
    PATIENCE,
    'somebody works who isn’t there',
  );
});

test('whether there is time is told before an order is taken, begun in one step, and its make goes on in the week', async () => {
  await visit('/week/orders');
  await reads(browser, 'Lantern fair');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'New order', '.head button');
  await reads(browser, 'Is there time?', 'mat-dialog-container');
  await type(browser, 'Who for (a nickname will do)', 'Old Sorrel');
  await choose(browser, 'Design', 'Peat Fire');
  await reads(browser, /Done .*if it is begun as soon as there is room/, '.answers');
  await reads(browser, /A cup costs .* € an hour of hands in it/, '.answers');
  await type(browser, 'By', '2027-03-01');
  await reads(browser, /There is time: done .*before it is due/, '.answers');
  await reads(browser, /Begin .* at the latest.*; tightest is then “/, '.answers');
  await type(browser, 'Agreed, for all', '60');
  await reads(browser, /At the agreed price an hour earns/, '.answers');
  await type(browser, 'Cups', '0');
  await reads(browser, 'One cup at least.', 'mat-dialog-container');
  await type(browser, 'Cups', '1');
  await type(browser, 'By', '2020-01-01');
  await reads(browser, /Not in time: done .* late/, '.answers');
  await reads(browser, /no start that is soon enough/, '.answers');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'Take it', 'mat-dialog-container button');
  await reads(browser, /Old Sorrel[\s\S]*late: done/, '.rows');
  await press(browser, /^Begin.*Old Sorrel/, '.rows button');
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  await reads(browser, 'Old Sorrel');
  const orders = await ask<{ document: Order }[]>('orders');
  expect(orders.find(({ document }) => document.who === 'Old Sorrel')?.document.makes).toHaveLength(1);
  await press(browser, /^Begin/, '.large');
  await reads(browser, 'It is on', '.large');
  await openWeek();
  expect((await book()).jobs.find(({ who }) => who === 'Old Sorrel')?.begun).not.toBeNull();
  await reads(browser, /Peat Fire[\s\S]*Old Sorrel/, 'au-board');
});

test('the bench runs late: what is left is planned from then on, and what moved is said', async () => {
  await openWeek();
  const before = await book();
  await visit('/week/orders');
  await press(browser, /^Begin.*Juno/, '.rows button');
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  await press(browser, /^Begin/, '.large');
  await reads(browser, 'It is on', '.large');
  // The coat is under way for two days: whatever was planned meanwhile wasn’t begun either.
  await program.wait(2 * 24 * 60);
  await openWeek();
  await reads(browser, /cups? moved by what came meanwhile/, '.moved');
  await press(browser, /moved by what came meanwhile/, '.moved button');
  await reads(browser, /Juno: done .* later/, '.moved');
  expect(await violations(browser)).toEqual([]);
  await browser.wait(
    async () => JSON.stringify((await book()).book.placed) !== JSON.stringify(before.book.placed),
    PATIENCE,
    'the plan that follows isn’t kept',
  );
  const { book: after, jobs, now } = await book();
  const under = jobs.filter(({ begun }) => begun !== null).map(({ id }) => id);
  expect(jobs.find(({ who }) => who === 'Juno')?.begun).not.toBeNull();
  expect(after.placed.filter(({ job }) => !under.includes(job)).every(({ at }) => at * 60_000 >= now - 60_000)).toBe(true);
});

test('orders come in as a table, what is wrong with a line is said, and a person is removed everywhere', async () => {
  await visit('/week/orders');
  await reads(browser, 'Lantern fair');
  const file = join(mkdtempSync(join(tmpdir(), 'aurantia-table-')), 'orders.csv');
  writeFileSync(file, 'who;design;cups;due\nHazel;Thistle Weave;2;2027-05-01\nHazel;No Such;1;\n');
  await browser.findElement(By.css('au-file input')).sendKeys(file);
  await reads(browser, /Line 3: There is no design called “No Such”/, '.refused');
  await reads(browser, /Hazel[\s\S]*Thistle Weave × 2/, '.rows');
  await press(browser, 'More of the order of Hazel', '.rows button');
  await menuItem(browser, 'Remove Hazel everywhere…');
  await reads(browser, /named in 1 order and 0 makes/, 'mat-dialog-container');
  await press(browser, 'Remove Hazel', 'mat-dialog-container button');
  await browser.wait(
    async () => !(await browser.findElement(By.css('.rows')).getText()).includes('Hazel'),
    PATIENCE,
    'Hazel is still there',
  );
  expect(await (await fetch(`${program.address}/api/orders/table.csv`)).text()).not.toContain('Hazel');
});

test('what is planned is held against the shelf, day by day', async () => {
  await program.send('POST', 'shelf/first-frost/movements', { why: 'counted anew', amount: 3 });
  await visit('/week/stock');
  await reads(browser, /First Frost[\s\S]*to buy[\s\S]*runs out \w+ \d+ \w+/, 'main');
  await reads(browser, /1 jar won’t last/, 'main');
  await reads(browser, 'the jar is empty', 'au-curve');
  expect(await violations(browser)).toEqual([]);
});

test('two windows never write over each other, and phones and tablets show all of it', async () => {
  await openWeek();
  const other = await openBrowser(false);
  try {
    await other.get(`${program.address}/week`);
    await reads(other, 'is cured through');
    await reads(other, 'Plan anew', '.head');
    const { book: now, revision } = await book();
    await program.send('PUT', 'week', { parent: revision, document: { ...now, means: { ...now.means, hooks: 9 } } });
    await press(other, 'Hands and arms', '.head button');
    await type(other, 'Hooks to dry on', '2');
    await press(other, 'Keep it', 'mat-dialog-container button');
    await reads(other, 'changed in another window');
    await press(other, 'Hands and arms', '.head button');
    await other.wait(
      async () => (await valueOf(other, 'Hooks to dry on')) === '9',
      PATIENCE,
      'what the other window kept isn’t shown',
    );
  } finally {
    await other.quit();
  }
  for (const path of ['/week', '/week/orders', '/week/stock', '/week/money'])
    for (const [width, height] of [
      [390, 844],
      [820, 1180],
    ]) {
      await resize(browser, width, height);
      await visit(path);
      await reads(browser, /is cured through|orders|planned|is the floor/);
      await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, `${path} is wider than ${width} px`);
    }
});

test('an empty workshop is told what the week is for, and what is typed into its money is kept', async () => {
  const empty = new Program(false);
  await empty.start();
  const view = await openBrowser(false);
  try {
    await view.get(`${empty.address}/week`);
    await reads(view, 'Nobody waits for a cup');
    expect(await violations(view)).toEqual([]);
    await view.get(`${empty.address}/week/orders`);
    await reads(view, 'Take an order, or bring in a table');
    await view.get(`${empty.address}/week/stock`);
    await reads(view, 'Nothing is planned that takes anything');
    await view.get(`${empty.address}/week/money`);
    await reads(view, 'There is no design yet');
    await type(view, 'An hour of hands', '17.5');
    await view.wait(
      async () =>
        ((await (await fetch(`${empty.address}/api/money`)).json()) as { document: { rate: number } }).document.rate === 17.5,
      PATIENCE,
      'the rate isn’t kept',
    );
    await press(view, 'The week', 'a');
    await press(view, 'Take an order', '.empty button');
    await reads(view, 'Choose a design, and it is told', 'mat-dialog-container');
    expect(await violations(view)).toEqual([]);
    // The first order ever: the plan that comes of it is the first week that is kept here.
    await empty.send(
      'POST',
      'designs/import',
      JSON.parse(readFileSync(join(import.meta.dirname, '../../demo/designs/peat-fire.json'), 'utf8')) as object,
    );
    await empty.send('POST', 'orders/table', { text: 'who;design;cups;due\nFirst;Peat Fire;1;' });
    await view.get(`${empty.address}/week`);
    await reads(view, /1 cup, .*is cured through/);
    await view.wait(
      async () => ((await (await fetch(`${empty.address}/api/week?zone=UTC`)).json()) as WeekData).book.placed.length > 0,
      PATIENCE,
      'the first plan isn’t kept',
    );
  } finally {
    await view.quit();
    await empty.end();
  }
});
