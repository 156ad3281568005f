import { Key } from 'selenium-webdriver';
import {
  PATIENCE,
  choose as chooseIn,
  kept,
  menuItem,
  named,
  painted,
  press,
  reads,
  takeJar,
  type,
  valueOf,
  withNamed,
} from '../src/browser';
import { violations } from '../src/fit-and-axe';
import { browser, program, programForAll, visit } from '../src/running';

programForAll();

const open = async (design: string, area: string) => {
  await visit(`/designs/${design}/colour`);
  await painted(browser);
  await press(browser, new RegExp(`^${area} `), '[role=option]');
};
const begin = async (design: string, area: string) => {
  await open(design, area);
  await press(browser, 'Fade');
  await press(browser, `Let ${area} fade`);
  await reads(browser, 'Back to one blend', 'au-fade-pane');
};
const take = async (button: string, entry: string) => {
  await press(browser, button);
  await menuItem(browser, entry);
};
const stored = async (id: string) =>
  (await (await fetch(`${program.address}/api/designs/${id}`)).json()) as {
    document: {
      areas: { name: string; kind: string; width: number }[];
      fades: { stops: { at: number; parts: object[] }[]; pots: number; weighed?: unknown }[];
      coats: { kind: string; fading?: boolean }[];
    };
    revision: number;
  };
const choose = (label: string, option: string) => chooseIn(browser, label, option);

test('a fade is begun from a blend, judged before any jar is opened, kept, and undone', async () => {
  await begin('copper-eaves', 'Foot');
  await take('Other mix for stop 2', 'One jar');
  await takeJar(browser, 'Candle End');
  await reads(
    browser,
    /This will show\.\s+Its colours are \d\d apart and each pot [\d.]+ to [\d.]+ from the next/,
    'au-fade-pane',
  );
  await reads(browser, /Make [\d.]+ ml of the mix of stop 1 first: [\d.]+ ml/, 'au-fade-pane');
  await choose('Pots', '4');
  await reads(browser, '1 fade in 4 pots', '.rail');
  await reads(
    browser,
    /Pot 2: [\d.]+ ml\s+[\d.]+ ml the mix of stop 1\s+[\d.]+ ml Candle End\s+at [\d.]+–[\d.]+ mm\s+strewn [\d.]+–[\d.]+ mm/,
    'au-fade-pots',
  );
  await reads(browser, /Pour pot 4 first, then 3, 2 and 1/, 'au-fade-pane');
  await reads(browser, 'pot 4', 'au-cup-view');
  await kept(browser);
  expect((await stored('copper-eaves')).document.fades).toMatchObject([{ pots: 4 }]);
  await browser.navigate().refresh();
  await reads(browser, 'Back to one blend', 'au-fade-pane');
  await press(browser, 'Back to one blend');
  await reads(browser, '4 blends', '.rail');
  await press(browser, 'Undo');
  await reads(browser, '1 fade in 4 pots', '.rail');
});

test('a stop is dragged and stepped by key, and one undo takes the drag back', async () => {
  await open('apiary-noon', 'Noon');
  const at = async () => (await stored('apiary-noon')).document.fades[0].stops[1].at;
  const handle = await named(browser, '[role=slider]', 'Stop 2');
  await browser
    .actions({ async: true })
    .move({ origin: handle })
    .press()
    .move({ origin: handle, x: -90, y: 0, duration: 120 })
    .release()
    .perform();
  await kept(browser);
  await browser.wait(async () => (await at()) < 0.66, PATIENCE, 'the drag is never kept');
  await reads(browser, /“Even to the eye” moves them/, 'au-fade-pane .verdict');
  await press(browser, 'Even to the eye');
  await reads(browser, /This will show\.(?![\s\S]*moves them)/, 'au-fade-pane .verdict');
  await press(browser, 'Undo');
  await press(browser, 'Undo');
  await kept(browser);
  expect(await at()).toBe(0.707);
  await withNamed(browser, '[role=slider]', 'Stop 2', (stop) => stop.sendKeys(Key.ARROW_LEFT, Key.TAB));
  await browser.wait(async () => (await at()) === 0.697, PATIENCE, 'the key never moves it');
});

test('stops in the wrong order, twins and pots without room each get their sentence', async () => {
  await begin('copper-eaves', 'Ridge');
  await type(browser, 'Stop 1 at', '100');
  await reads(browser, /Stop 2 must lie after stop 1.*or swap the two/, 'au-fade-stop [role=alert]');
  await type(browser, 'Stop 1 at', '0');
  await choose('Pots', '20');
  await type(browser, 'Overlap', '30');
  await reads(browser, 'Take fewer pots, or less overlap.', 'au-fade-pane [role=alert]');
  await press(browser, 'Undo');
  await browser.wait(async () => (await valueOf(browser, 'Overlap')) === '6', PATIENCE, 'the overlap never comes back');
  await choose('Pots', '3');
  await type(browser, 'Overlap', '2');
  await type(browser, 'Stop 2 covers', '100');
  await reads(browser, 'This will not be seen.', 'au-fade-pane .verdict');
  await reads(browser, /as the last stop: of your jars the nearest/, 'au-fade-pane .helps');
  await press(browser, 'Take it');
  await reads(browser, 'This will show.', 'au-fade-pane .verdict');
});

test('a base under a stop fades with it, and half of the cup shows equal spoons', async () => {
  await begin('orchard-frost', 'Grove');
  await choose('Base under stop 1', 'Honey');
  await choose('Base under stop 2', 'Soft black');
  await kept(browser);
  const { coats } = (await stored('orchard-frost')).document;
  expect(coats.filter(({ kind }) => kind === 'base').map(({ fading }) => fading)).toEqual([true, false]);
  await choose('On the cup', 'half of it in equal spoons');
  await painted(browser);
});

test('the strip comes as PDF', async () => {
  await open('apiary-noon', 'Noon');
  const href = await withNamed(browser, 'a', 'Print the strip', async (link) => (await link.getAttribute('href')) ?? '');
  const reply = await fetch(href);
  expect(reply.headers.get('content-type')).toBe('application/pdf');
});

test('sections are put in their cleanest order, each meeting told, and put back', async () => {
  await visit('/designs/thistle-weave/colour');
  await painted(browser);
  await press(browser, 'Ring');
  await reads(browser, /(\d+ % cleaner than the order now|As clean as the order now)/, 'au-ring-order');
  const order = () =>
    browser.executeScript<string[]>(
      'return [...document.querySelectorAll("au-ring-order tbody th")].map((cell) => cell.firstChild.textContent.trim())',
    );
  const cleanest = await order();
  expect(cleanest).toHaveLength(6);
  await press(browser, 'Put them in this order');
  await reads(browser, 'The sections stand so already.', 'au-ring-order');
  await choose('First at the seam', 'Bee');
  await reads(browser, /^Bee to/m, 'au-ring-order tbody th');
  const turned = await order();
  expect([...cleanest, ...cleanest].join()).toContain(turned.join());
  await choose('Keep together', 'Bee');
  await choose('and', 'Slate');
  await press(browser, 'As neighbours');
  await reads(browser, /Bee\s+to Slate|Slate\s+to Bee/, 'au-ring-order tbody');
  await press(browser, 'Let go Bee and Slate');
  await type(browser, 'Bee, times as wide', '2');
  await press(browser, 'Give them these widths');
  await kept(browser);
  const widths = async () =>
    Object.fromEntries(
      (await stored('thistle-weave')).document.areas
        .filter(({ kind }) => kind === 'wedge')
        .map(({ name, width }) => [name, width]),
    );
  await browser.wait(
    async () => Math.abs((await widths())['Bee'] / (await widths())['Moss'] - 2) < 1e-4,
    PATIENCE,
    'no one is wider',
  );
  await press(browser, 'Undo');
  await press(browser, 'Undo');
  await reads(browser, /(cleaner than|As clean as) the order now/, 'au-ring-order');
});

test('an area without a blend fades between two jars', async () => {
  const { document } = (await (await fetch(`${program.address}/api/designs/copper-eaves`)).json()) as { document: object };
  const bare = { ...document, id: 'bare-eaves', name: 'Bare Eaves', blends: [], fades: [] };
  const headers = { 'content-type': 'application/json' };
  expect((await fetch(`${program.address}/api/designs`, { method: 'POST', headers, body: JSON.stringify(bare) })).ok).toBe(true);
  await visit('/designs/bare-eaves/colour');
  await press(browser, /^Eaves /, '[role=option]');
  await press(browser, 'Fade');
  await press(browser, 'From choose one');
  await takeJar(browser, 'Brickfield');
  await press(browser, 'To choose one');
  await takeJar(browser, 'Bee Line');
  await press(browser, 'Let Eaves fade');
  await reads(browser, /This will show\.\s+Its colours are \d\d apart/, 'au-fade-pane');
  await kept(browser);
});

test('a pot as it was weighed at a cup is laid so, and as the stops say again by one press', async () => {
  const { document, revision } = await stored('apiary-noon');
  const [fade] = document.fades;
  const weighed = [{ pot: 2, parts: [{ ...fade.stops[0].parts[0], ml: 0.83 }] }];
  await program.send('PUT', 'designs/apiary-noon', {
    parent: revision,
    document: { ...document, fades: [{ ...fade, weighed }] },
  });
  await open('apiary-noon', 'Noon');
  await reads(browser, 'Pot 3 is as it was weighed at a cup', 'au-fade-pane');
  await reads(browser, /Pot 3: 0\.83 ml\s+0\.83 ml [\w ]+\s+as weighed at a cup/, 'au-fade-pots');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'As the stops say');
  await kept(browser);
  expect((await stored('apiary-noon')).document.fades[0].weighed).toBeUndefined();
});
