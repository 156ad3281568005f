import { kept, menuItem, PATIENCE, press, reads, resize, see, type, valueOf } from '../src/browser';
import { violations } from '../src/fit-and-axe';
import { browser, program, programForAll, visit } from '../src/running';

programForAll();

/** What a list shows of the words that matter, once it has settled. */
const pictures = (many: number) =>
  browser.wait(
    () =>
      browser.executeScript<boolean>(
        'const all = [...document.querySelectorAll(".cups img")]; return all.length === arguments[0] && all.every((one) => one.complete && one.naturalWidth > 0)',
        many,
      ),
    PATIENCE,
    `there aren’t ${many} pictures`,
  );

test('home shows every cup with its line, and finds designs by their names and their cups', async () => {
  await visit('/designs');
  await reads(browser, '6 designs');
  await pictures(6);
  await reads(browser, /Copper Eaves\s+14 coats, all clear/);
  await type(browser, 'Find a design', 'plump');
  await reads(browser, 'Found 1 design');
  await reads(browser, 'Thistle Weave', '.cups');
  await pictures(1);
  await type(browser, 'Find a design', 'no such cup');
  await reads(browser, 'No design is called or tagged so');
  await type(browser, 'Find a design', ' ');
  await reads(browser, 'Lately on the table 6 designs');
});

test('a copy stands first with a picture of its own, and what is removed is gone until it is brought back', async () => {
  await visit('/designs');
  await press(browser, 'More for Slate & Saffron');
  await menuItem(browser, 'Copy');
  await reads(browser, 'Which cup is it?');
  await visit('/designs');
  await reads(browser, '7 designs');
  await pictures(7);
  await press(browser, 'More for Slate & Saffron, copy');
  await menuItem(browser, 'Remove');
  await reads(browser, '6 designs');
  await press(browser, 'Undo');
  await reads(browser, '7 designs');
});

test('two hundred designs: only those in sight are there, and the last is reached by scrolling', async () => {
  const { document } = (await (await fetch(`${program.address}/api/designs/peat-fire`)).json()) as { document: object };
  for (let i = 0; i < 200; i += 1)
    await fetch(`${program.address}/api/designs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...document, id: `many-${i}`, name: `Many ${i}` }),
    });
  await visit('/designs');
  await reads(browser, /20\d designs/);
  await reads(browser, 'Many 199');
  const there = await browser.executeScript<number>('return document.querySelectorAll(".cups .label").length');
  expect(there).toBeLessThan(80);
  await browser.wait(
    () =>
      browser.executeScript<boolean>(
        'document.querySelector(".place").scrollTop = 1e9; return document.querySelector(".cups").innerText.includes("Thistle Weave")',
      ),
    PATIENCE,
    'the oldest design never came',
  );
});

test('the history says what changed, shows any revision, and brings one back with Undo to where one was', async () => {
  await visit('/designs/copper-eaves/colour');
  await reads(browser, 'By the eye');
  const before = await valueOf(browser, 'Quarry Moss, ml');
  await type(browser, 'Quarry Moss, ml', '6');
  await kept(browser);
  await press(browser, 'History');
  await reads(browser, /Quarry Moss 4\.0 ml → 6\.0 ml/, 'au-history-dialog');
  await reads(browser, /All glitter 4\d\.\d ml → 5\d\.\d ml/, 'au-history-dialog');
  await press(browser, /revision 1$/);
  await reads(browser, 'Copper Eaves', 'au-history-dialog section');
  await press(browser, 'Bring it back');
  await reads(browser, 'Revision 1 is on the table again.');
  expect(await valueOf(browser, 'Quarry Moss, ml')).toBe(before);
  await kept(browser);
  await press(browser, 'Undo', '.head button');
  await see(browser, 'au-stepper');
  expect(await valueOf(browser, 'Quarry Moss, ml')).toBe('6.0');
  await kept(browser);
  await press(browser, 'History');
  await press(browser, /revision 1$/);
  await press(browser, 'Make it a design of its own');
  await reads(browser, 'Which cup is it?');
  expect(await valueOf(browser, 'Name of the design')).toBe('Copper Eaves, as of 1');
});

test('a design is seen on another cup, side by side, what doesn’t fit is named, and it is kept as a design of its own', async () => {
  await visit('/designs/slate-and-saffron/cup');
  await press(browser, /^See it on another cup/, 'button');
  await reads(browser, 'All that fitted on Wine cup 350 ml fits here too', 'au-refit-dialog');
  await press(browser, 'Child’s mug 120 ml', 'au-refit-dialog [role=option]');
  await reads(browser, 'runs into the handle', 'au-refit-dialog .unfit');
  await reads(browser, /Slate\s+234\.1 cm², 3\.5 ml a pour\s+81\.3 cm², 1\.5 ml a pour/, 'au-refit-dialog');
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 844);
  const over = () =>
    browser.executeScript<number>(
      'const one = document.querySelector("mat-dialog-content"); return one.scrollWidth - one.clientWidth',
    );
  await browser.wait(async () => (await over()) <= 0, PATIENCE, 'it is wider than a phone');
  await resize(browser, 1280, 800);
  await press(browser, 'Keep it as a design of its own', 'au-refit-dialog button');
  await browser.wait(async () => (await browser.getCurrentUrl()).endsWith('/areas'), PATIENCE, 'the copy never opens');
  await reads(browser, 'Left over on the wall');
  expect(await valueOf(browser, 'Name of the design')).toBe('Slate & Saffron, Child’s mug 120 ml');
});
