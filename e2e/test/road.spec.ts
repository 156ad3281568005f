import { spawnSync } from 'node:child_process';
import { By, Key } from 'selenium-webdriver';
import {
  PATIENCE,
  choose,
  kept,
  menuItem,
  named,
  openArea,
  painted,
  press,
  reads,
  see,
  takeJar,
  type,
  valueOf,
} from '../src/browser';
import { ROOT } from '../src/program';
import { browser, program, programForAll } from '../src/running';

programForAll({ graphics: true });

const stage = async (name: string) => {
  await press(
    browser,
    (await browser.executeScript<string>(
      `return [...document.querySelectorAll('.rail a')].find((a) => a.querySelector('b').innerText === arguments[0]).innerText.replace(/\\s+/g, ' ').trim()`,
      name,
    )) || name,
    '.rail a',
  );
};
const shown = (css: string) => browser.executeScript<string>('return document.querySelector(arguments[0]).innerText', css);
const pick = (item: string) => menuItem(browser, item);

test('from a cup to a card that someone else can work from', async () => {
  await browser.get(`${program.address}/designs`);
  await press(browser, 'New design');
  await type(browser, 'Name of the design', 'Gable End');

  // A cup of one's own, by tape.
  await press(browser, 'Tapered');
  await type(browser, 'Name of the cup', 'Kitchen cup');
  await type(browser, 'Circumference at the foot', '210');
  await type(browser, 'Height at the rim', '150,5 mm');
  await type(browser, 'Circumference at the rim', '262');
  await kept(browser);
  await reads(browser, '355.7 cm²', 'au-cup-stage');

  // Two bands.
  await stage('Areas');
  await press(browser, 'Split in two bands');
  await type(browser, 'Upper edge', '60');
  await openArea(browser, 'Band 2');
  await type(browser, 'Lower edge', '60');
  await type(browser, 'Name of Band 2', 'Gable');
  await reads(browser, '2 areas, none left over', '.rail');

  // A blend for each, by spoon and by key.
  await stage('Colour');
  await press(browser, /^Band 1/, '[role=option]');
  await press(browser, 'Add a glitter');
  await takeJar(browser, 'Quarry Moss');
  await type(browser, 'Quarry Moss, ml', '2');
  const moss = await named(browser, 'input', 'Quarry Moss, ml');
  await moss.sendKeys(Key.ARROW_UP, Key.ARROW_UP);
  await browser.wait(async () => (await moss.getAttribute('value')) === '3.0', PATIENCE, 'the stepper never reaches 3.0');
  await press(browser, /^Gable/, '[role=option]');
  await press(browser, 'Add a glitter');
  await takeJar(browser, 'Penny Rain');
  await press(browser, 'Add a glitter');
  await takeJar(browser, 'Lamp Oil');
  await type(browser, 'Lamp Oil, ml', '1.5');
  await reads(browser, 'No coat pours this blend yet');

  // Coats, with one of ink among them.
  await stage('Coats');
  await press(browser, 'Suggest the coats');
  await reads(browser, 'Rest until cured through');
  await press(browser, 'Add a coat');
  await pick('Ink in resin');
  await reads(browser, 'Tinted resin: Tarn');
  const ink = () => see(browser, 'li.open mat-expansion-panel-header');
  const place = async () => Number.parseInt(await (await ink()).getText(), 10);
  const added = await place();
  // As fast as a hand can: no press is lost while rows change places.
  await (await ink()).sendKeys(Key.ALT, Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP, Key.NULL);
  await browser.wait(async () => (await place()) === added - 3, PATIENCE, 'the ink coat never gets three places up');
  await kept(browser);

  await stage('Amounts');
  await reads(browser, 'Part A');
  await painted(browser);
  const before = await shown('au-amounts-stage');

  // What was typed is there again.
  await kept(browser);
  await browser.navigate().refresh();
  await reads(browser, 'Part A');
  expect(await shown('au-amounts-stage')).toBe(before);

  // The card, and the same figures from the command line.
  await stage('Card');
  await reads(browser, 'Gable End', '.sheet');
  const card = await browser.executeScript<string[]>(
    'return [...document.querySelectorAll(".sheet .amounts span, .sheet .area b:first-child, .sheet .totals b")].map((e) => e.innerText)',
  );
  const id = (await browser.getCurrentUrl()).split('/').at(-2) ?? '';
  const file = await (await fetch(`${program.address}/api/designs/${id}/file`)).text();
  const { status, stdout } = spawnSync('npm', ['run', '-s', 'card', '--', '-'], { cwd: ROOT, input: file, encoding: 'utf8' });
  expect(status).toBe(0);
  expect(card.length).toBeGreaterThan(15);
  const printed = stdout.replace(/\s+/g, ' ');
  for (const figure of card) expect(printed).toContain(figure.replace(/\s+/g, ' '));
  expect(stdout).toMatch(/\d+ drops? of Tarn/);
});

test('coats are dragged by the pointer too', async () => {
  await browser.get(`${program.address}/designs/peat-fire/coats`);
  const titles = () =>
    browser.executeScript<string[]>('return [...document.querySelectorAll("au-coats-stage .title b")].map((b) => b.innerText)');
  await reads(browser, 'Scuff and degrease', 'au-coats-stage');
  const [first, second, third] = await titles();
  const [from, , to] = await browser.findElements(By.css('.grip'));
  await browser
    .actions({ async: true })
    .move({ origin: from })
    .press()
    .move({ origin: from, y: 12, duration: 120 })
    .move({ origin: to, y: 6, duration: 300 })
    .release()
    .perform();
  await browser.wait(async () => (await titles())[2] === first, PATIENCE, 'the first coat never lands third');
  expect((await titles()).slice(0, 3)).toEqual([second, third, first]);
  await press(browser, 'Undo');
  await browser.wait(async () => (await titles())[0] === first, PATIENCE, 'undo never puts it back');
});

test('undo and redo go through what was done, by button and by key', async () => {
  await browser.get(`${program.address}/designs/copper-eaves/areas`);
  await type(browser, 'Upper edge', '70');
  await reads(browser, '0.0 cm²', '.left');
  await kept(browser);
  const value = () => valueOf(browser, 'Upper edge');
  await press(browser, 'Undo');
  await browser.wait(async () => (await value()) === '62', PATIENCE, 'undo never shows 62');
  await (await see(browser, 'au-cup-view canvas')).sendKeys(Key.chord(Key.CONTROL, Key.SHIFT, 'z'));
  await browser.wait(async () => (await value()) === '70', PATIENCE, 'redo never shows 70');
  await (await see(browser, 'au-cup-view canvas')).sendKeys(Key.chord(Key.CONTROL, 'z'));
  await browser.wait(async () => (await value()) === '62', PATIENCE, 'undo by key never shows 62');
  await kept(browser);
});

test('a finding offers its fix, and the fix settles it', async () => {
  await browser.get(`${program.address}/designs/orchard-frost/coats`);
  await reads(browser, 'Clear seal');
  const seal = await browser.executeScript<string>(
    'const title = [...document.querySelectorAll(".title")].find((t) => t.innerText.includes("Clear seal")); title.click(); return title.innerText',
  );
  expect(seal).toContain('Clear seal');
  await press(browser, 'Remove this coat');
  await reads(browser, /Resin goes over unsealed glitter/);
  // Counted alike on the rail and at the check, which also works troubles backwards from it.
  await reads(browser, '1 thing to look at', '.rail');
  await press(browser, /^Check/, '.rail a');
  await reads(browser, '1 thing to look at', 'au-check-stage h2');
  await choose(browser, 'What do you see?', 'Bubbles in the cured film');
  await reads(browser, 'In this design: Resin goes over unsealed glitter', 'au-trouble-finder');
  // Meant so, with a reason, it is counted no more, and the card says why; looked at again, it can be mended.
  await press(browser, 'Leave it so…');
  await type(browser, 'Why it is right here, for the card', 'This glue seals them');
  await reads(browser, 'Meant so.', 'au-check-stage');
  await reads(browser, 'all clear', '.rail');
  await press(browser, /^Card/, '.rail a');
  await reads(browser, 'Meant so: This glue seals them', '.sheet');
  await press(browser, /^Check/, '.rail a');
  await press(browser, 'Look at it again');
  await reads(browser, '1 thing to look at', '.rail');
  await press(browser, 'Add a clear seal, 25 min');
  await reads(browser, 'Nothing stands in the way', 'au-check-stage h2');
  await reads(browser, 'all clear', '.rail');
  await press(browser, /^Coats/, '.rail a');
  await reads(browser, 'Clear seal', 'au-coats-stage');
});
