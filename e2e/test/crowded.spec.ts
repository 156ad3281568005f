import type { Design, ShelfItem } from '@aurantia/core';
import { Key } from 'selenium-webdriver';
import { PATIENCE, kept, press, reads, resize, takeJar, type, valueOf, withNamed } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { browser, program, programForAll } from '../src/running';

programForAll();

const go = async (path: string, says: string | RegExp) => {
  await browser.get(`${program.address}${path}`);
  await reads(browser, says);
};
const send = async (path: string, body: unknown): Promise<void> => {
  const reply = await fetch(`${program.address}/api/${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!reply.ok) throw new Error(await reply.text());
};
const demoDesign = async (id: string): Promise<Design> =>
  ((await (await fetch(`${program.address}/api/designs/${id}`)).json()) as { document: Design }).document;

test('ten thousand jars: one is found by typing, on the shelf and for a blend, and the last is reached by scrolling', async () => {
  const shelf = (await (await fetch(`${program.address}/api/shelf`)).json()) as { document: ShelfItem }[];
  const jar = shelf.find(({ document }) => document.kind === 'glitter')?.document;
  const many = Array.from({ length: 10_000 }, (_, i) => ({
    parent: null,
    document: { ...jar, id: `crowd-${i}`, name: `Crowd ${i}`, left: null },
  }));
  for (let i = 0; i < many.length; i += 2000) await send('shelf/many', many.slice(i, i + 2000));
  await go('/shelf', /Glitters\s+10012/);
  expect(await browser.executeScript<number>('return document.querySelectorAll(".jar").length')).toBeLessThan(200);
  await browser.wait(
    () =>
      browser.executeScript<boolean>(
        'const pane = document.querySelector("section[cdkvirtualscrollingelement], section.cdk-virtual-scrollable"); pane.scrollTop = 1e9; return pane.innerText.includes("Films") || pane.innerText.includes("Glues")',
      ),
    PATIENCE,
    'the last of the shelf never comes',
  );
  await type(browser, 'Find on the shelf', 'crowd 9999');
  await reads(browser, 'Crowd 9999', '.jar');
  await go('/designs/copper-eaves/colour', 'By the eye');
  await press(browser, 'Add a glitter');
  await takeJar(browser, 'Crowd 7777');
  await reads(browser, 'Crowd 7777', 'au-blend-pane table');
});

test('forty areas stay a list to choose from, and leave room for the work', async () => {
  const design = await demoDesign('peat-fire');
  const step = 3;
  const band = design.areas.find((area) => area.kind === 'band');
  if (!band) throw new Error('no band to copy');
  const edge = (mm: number) => ({ ...band.lower, level: { by: 'foot', mm } });
  const areas = Array.from({ length: 40 }, (_, i) => ({
    ...band,
    id: `area-${i}`,
    name: `Ring ${i + 1}`,
    lower: edge(i * step),
    upper: edge((i + 1) * step),
  }));
  await send('designs', { ...design, id: 'forty', name: 'Forty', areas, blends: [], fades: [], coats: [] });
  await go('/designs/forty/colour', 'Ring 1');
  const tall = () => browser.executeScript<number>('return document.querySelector("au-chips").getBoundingClientRect().height');
  expect(await tall()).toBeLessThan(200);
  await press(browser, /^Ring 40 /, '[role=option]');
  await reads(browser, 'Ring 40', 'h2');
  expect(await tooWide(browser)).toBeLessThanOrEqual(0);
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 844);
  expect(await tooWide(browser)).toBeLessThanOrEqual(0);
  await resize(browser, 1280, 800);
});

test('names of two hundred letters and from right to left are kept, and push nothing over the side', async () => {
  await go('/designs/slate-and-saffron/cup', 'Which cup is it?');
  await type(browser, 'Name of the design', 'Long'.repeat(50));
  await kept(browser);
  expect(await valueOf(browser, 'Name of the design')).toHaveLength(80);
  expect(await tooWide(browser)).toBeLessThanOrEqual(0);
  await type(browser, 'Name of the design', 'كوب الشتاء 2');
  await kept(browser);
  expect(await browser.executeScript('return getComputedStyle(document.querySelector("input.name")).direction')).toBe('rtl');
  await go('/designs', 'كوب الشتاء 2');
  expect(await tooWide(browser)).toBeLessThanOrEqual(0);
});

test('a measure pasted with a unit of its own is read as that', async () => {
  await go('/designs/peat-fire/colour', 'By the eye');
  const amount = () => browser.executeScript<string>('return document.querySelector("au-stepper input").value');
  const name = await browser.executeScript<string>('return document.querySelector("au-stepper input").ariaLabel');
  await type(browser, name, '1 tsp');
  await browser.wait(async () => (await amount()) === '5.0', PATIENCE, 'a teaspoon is never 5 ml');
  await withNamed(browser, 'au-stepper input', name, (field) => field.sendKeys(Key.chord(Key.CONTROL, 'a'), '1 cup', Key.TAB));
  await reads(browser, /Type|unit/, 'au-stepper .wrong-note');
  expect(await amount()).toBe('1 cup');
});

test('while a list is on its way that is said, once it takes longer than a glance', async () => {
  await browser.sendDevToolsCommand('Network.enable', {});
  const late = (latency: number) =>
    browser.sendDevToolsCommand('Network.emulateNetworkConditions', {
      offline: false,
      latency,
      downloadThroughput: -1,
      uploadThroughput: -1,
    });
  await late(2500);
  try {
    await go('/designs', 'Fetching your designs…');
    await reads(browser, 'Copper Eaves');
  } finally {
    await late(0);
  }
});
