import { Key } from 'selenium-webdriver';
import { PATIENCE, kept, menuItem, press, reads, tick, type, withNamed } from '../src/browser';
import { violations } from '../src/fit-and-axe';
import { browser, program, programForAll, visit } from '../src/running';

programForAll();

const coatsOf = async (design: string, says: string) => {
  await visit(`/designs/${design}/coats`);
  await reads(browser, says);
};
const shown = (css: string) => browser.executeScript<string>('return document.querySelector(arguments[0]).innerText', css);
const add = async (kind: string) => {
  await press(browser, 'Add a coat');
  await menuItem(browser, kind);
};

test('a strip that is cut too short is stopped, put right by one press, and stands on the card', async () => {
  await coatsOf('thistle-weave', 'Scuff and degrease');
  await add('Strip of film');
  await reads(browser, /Strip: \w/, 'li.open');
  await type(browser, 'Cut to', '120');
  await reads(browser, /The strip is [\d.]+ mm short\./, 'li.open');
  await press(browser, /^Cut \d+ mm/);
  await reads(browser, 'all clear', '.rail');
  await kept(browser);
  await visit('/designs/thistle-weave/card');
  await reads(browser, /Strip: .*once round/, '.sheet');
});

test('what is laid under a mask stays off it until the mask is pulled', async () => {
  await coatsOf('apiary-noon', 'Scuff and degrease');
  await add('Mask on');
  await reads(browser, 'The mask on', 'li.open');
  await press(browser, 'Pull it before the resin');
  await reads(browser, 'Mask off', 'au-coats-stage');
  await press(browser, 'Undo');
  await press(browser, 'Undo');
  await reads(browser, 'all clear', '.rail');
});

test('a coat that ends at two heights lies on that wall alone, and says so on the card', async () => {
  await coatsOf('thistle-weave', 'Scuff and degrease');
  await add('Base colour');
  await reads(browser, /Base colour: \w/, 'li.open');
  const whole = await shown('li.open');
  await tick(browser, 'only between two heights');
  await type(browser, 'To, above the foot', '90');
  await type(browser, 'From, above the foot', '30');
  await reads(browser, 'from 30 mm to 90 mm above the foot', 'li.open');
  expect(await shown('li.open')).not.toBe(whole);
  await type(browser, 'From, above the foot', '200');
  await reads(browser, 'The upper height is at least 1 mm above the lower one.', 'li.open');
  expect(await violations(browser)).toEqual([]);
  await kept(browser);
  await visit('/designs/thistle-weave/card');
  await reads(browser, 'from 30 mm to 90 mm above the foot', '.sheet');
});

test('what the shelf has not is said before anything is added', async () => {
  const shelf = (await (await fetch(`${program.address}/api/shelf`)).json()) as {
    document: { id: string; kind: string };
  }[];
  const films = shelf.filter(({ document }) => document.kind === 'film').map(({ document }) => document.id);
  for (const id of films) await fetch(`${program.address}/api/shelf/${id}`, { method: 'DELETE' });
  // A page hears nothing of what goes on behind it: it is begun anew, and once more when all is as it was.
  await browser.get(program.address);
  await coatsOf('copper-eaves', 'Scuff and degrease');
  await add('Foil');
  await reads(browser, 'Foil wants a film from your shelf, and there is none. Put one there first.');
  await reads(browser, '14 coats', '.rail');
  for (const id of films) await fetch(`${program.address}/api/shelf/${id}/restore`, { method: 'POST' });
  await browser.get(program.address);
});

test('a suggestion tells what it would do otherwise, and each of it is taken alone', async () => {
  await coatsOf('copper-eaves', 'Scuff and degrease');
  await press(browser, /First resin over the glitter/, 'mat-expansion-panel-header');
  await press(browser, 'Remove this coat');
  await press(browser, 'Suggest');
  await reads(browser, 'Yours stays as it is until you take one.', 'au-suggestions');
  const before = await shown('au-suggestions');
  expect(before).toMatch(/Add “Clear resin”/);
  await press(browser, /^Add it: Add “Clear resin”/);
  await reads(browser, 'These coats do all that I’d suggest', 'au-suggestions');
  await press(browser, 'Close');
});

test('by the clock: a window that closes at night is told, and a better begin offered', async () => {
  await coatsOf('orchard-frost', 'Scuff and degrease');
  await press(browser, 'Ways');
  await reads(browser, 'Makers disagree here');
  await reads(browser, 'Gaps between flakes don’t show.');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'recoat while tacky', '[role=option]');
  await reads(browser, 'Bonds by itself, no sanding, a day sooner.');
  await press(browser, 'Done');
  for (const title of ['Sand and wash', 'Rim and inside', 'Strip', 'Clear seal', 'Clear seal']) {
    await press(browser, new RegExp(`^\\d+\\s+${title}`), 'mat-expansion-panel-header');
    await press(browser, 'Remove this coat');
  }
  await press(browser, 'By the clock');
  await type(browser, 'at', '25:99');
  await reads(browser, 'Write a time of day as 08:30.');
  await type(browser, 'at', '17:00');
  await reads(browser, 'closes before anybody is up');
  await press(browser, /^Begin \w+ \d\d:\d\d$/);
  await reads(browser, 'No window closes while everybody sleeps.');
});

test('cut through: every coat of a place with its thickness, and of another place its own', async () => {
  await visit('/designs/peat-fire/coats?shown=cut');
  await reads(browser, 'of coats here');
  await reads(browser, 'Sprinkle: Candle End', 'au-cut-through');
  await press(browser, 'Smoke', '[role=option]');
  await reads(browser, 'Tinted resin: Sloe', 'au-cut-through');
  const smoke = await shown('au-cut-through');
  expect(smoke).not.toContain('Sprinkle');
  const parts = [...smoke.matchAll(/([\d.]+) mm(?:, changes|\n)/g)].map(([, mm]) => Number(mm));
  const all = Number(/([\d.]+) mm of coats here/.exec(smoke)?.[1]);
  // Each is read to a hundredth, so their sum may be off by half of one a coat.
  expect(Math.abs(parts.reduce((sum, mm) => sum + mm, 0) - all)).toBeLessThan(0.005 * (parts.length + 1));
  await press(browser, 'to scale', 'mat-button-toggle button');
  await reads(browser, '1 mm', '.ruler');
});

test('figures no coat can have are refused with a sentence, and the last good one stays', async () => {
  await coatsOf('slate-and-saffron', 'Scuff and degrease');
  await add('Printed sheet');
  await type(browser, 'Width', '2000');
  await reads(browser, 'At most 800 mm.', 'li.open');
  await withNamed(browser, 'input', 'Width', (field) => field.sendKeys(Key.ESCAPE));
  await type(browser, 'Width', '500');
  await reads(browser, /is 500 mm wide, more than this cup is round/, 'li.open');
});

test('practice: six mistakes are put right one by one, with a score, and a copy’s coats in order', async () => {
  await visit('/designs');
  await reads(browser, '6 designs');
  await (await browser.findElement({ css: 'body' })).sendKeys('?');
  await press(browser, 'Stage by stage', '[role=tab]');
  await press(browser, 'Practise: a plan with six mistakes');
  await reads(browser, '0 of 6', 'au-practice-note');
  await press(browser, 'Tell me what is left');
  await reads(browser, 'Still wrong: scuff first', 'au-practice-note');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'Scuff and degrease first');
  await reads(browser, '1 of 6', 'au-practice-note');
  await press(browser, 'Take this glue out');
  await reads(browser, '2 of 6', 'au-practice-note');
  await press(browser, 'End the practice');
  await browser.wait(
    async () => (await browser.findElements({ css: 'au-practice-note' })).length === 0,
    PATIENCE,
    'it never ends',
  );

  await coatsOf('copper-eaves', 'Scuff and degrease');
  await (await browser.findElement({ css: 'body' })).sendKeys('.');
  await withNamed(browser, 'au-command-dialog input', 'Go to or do', (field) => field.sendKeys('put these coats'));
  await reads(browser, 'put these coats in order', '.commands mat-option.mat-mdc-option-active');
  await withNamed(browser, 'au-command-dialog input', 'Go to or do', (field) => field.sendKeys(Key.ENTER));
  await reads(browser, /\d+ of \d+ coats stand in order/, 'au-practice-note');
  await browser.wait(async () => (await browser.getTitle()).includes('to put in order'), PATIENCE, 'the copy never opens');
});

test('the probe on the cup is moved by keys: over the decal its film lies among the coats, on the lip nothing does', async () => {
  await visit('/designs/slate-and-saffron/coats?shown=cut');
  await reads(browser, 'of coats here, on Slate');
  const by = (...keys: readonly string[]) =>
    withNamed(browser, 'au-cup-view .handle', 'Where the coats are cut through', (knob) => knob.sendKeys(...keys));
  await press(browser, 'Saffron 2', '[role=option]');
  await reads(browser, 'of coats here, on Saffron 2');
  await press(browser, 'Slate', '[role=option]');
  const up = Key.chord(Key.SHIFT, Key.ARROW_UP);
  for (let presses = 0; presses < 12 && !(await shown('au-cut-through')).includes('House mark'); presses += 1)
    await by(Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP);
  expect(await shown('au-cut-through')).toMatch(/Decal: House mark\s+0\.07 mm, changes what is seen/);
  await by(up, up, up, up, up, up);
  await reads(browser, 'Here the wall stays bare: the bare lip.');
  expect(await violations(browser)).toEqual([]);
});

test('a decal is cut to a shape from a film, three times round, and stands on the card', async () => {
  await coatsOf('orchard-frost', 'Scuff and degrease');
  await add('Decal');
  await press(browser, 'star', 'li.open button');
  await type(browser, 'Width', '30');
  await type(browser, 'How many, evenly round', '3');
  await reads(browser, '3 evenly round', 'li.open');
  await reads(browser, 'every second one cut the other way round', 'li.open');
  await type(browser, 'How many, evenly round', '9');
  await reads(browser, /9 times “Decal”, 30 mm wide each, is more than this cup is round/, 'li.open');
  await type(browser, 'How many, evenly round', '3');
  await kept(browser);
  await visit('/designs/orchard-frost/card');
  await reads(browser, /star, 30 mm × 50 mm/, '.sheet');
  await reads(browser, /Mark the middles of the others every [\d.]+ mm by the tape there/, '.sheet');
});

test('for four cups at once everything is measured anew, in as many pots as hands can spread', async () => {
  await visit('/designs/copper-eaves/amounts');
  await reads(browser, 'It takes');
  const takes = () =>
    browser.executeScript<string[]>('return [...document.querySelectorAll("td.mat-column-takes")].map((one) => one.innerText)');
  const alone = (await takes()).map(parseFloat);
  await type(browser, 'Cups alike at once', '4');
  await reads(browser, /Mixed for 4 cups at once it takes [\d.]+ ml of resin less/);
  expect((await takes()).map(parseFloat)[0]).toBeCloseTo(4 * alone[0], 1);
  await reads(browser, /In \d+ pots, one after the other/);
  expect(await violations(browser)).toEqual([]);
  await type(browser, 'Cups alike at once', '0');
  await reads(browser, 'One to 24 cups go through one pair of hands at once.');
});

test('a tint is shown one, two and three coats deep; the drops for a colour are counted out and taken', async () => {
  await coatsOf('peat-fire', 'Scuff and degrease');
  await press(browser, /Tinted resin: Madder/, 'mat-expansion-panel-header');
  await reads(browser, 'How deep it comes out', 'li.open');
  await reads(browser, /Embers\s*#/, 'au-ink-depth table');
  await type(browser, 'as #', '#8a2c12');
  await reads(browser, /\d+ drops? in (one coat|each of)/, 'au-ink-depth');
  expect(await violations(browser)).toEqual([]);
  const first = await shown('au-ink-depth au-offers li');
  await press(browser, /^Take it: \d+ drop/, 'au-ink-depth button');
  await reads(browser, new RegExp(`Madder\\s*${/\d+ drops?/.exec(first)?.[0] ?? 'nothing'}`), 'li.open au-coat-amounts');
});

test('two inks in a pot: a second is stirred in, then both are found for a colour, taken and counted out on the card', async () => {
  await coatsOf('apiary-noon', 'Scuff and degrease');
  await add('Ink in resin');
  await reads(browser, 'How deep it comes out', 'li.open');
  await press(browser, 'Another ink in the pot');
  await reads(browser, / and /, 'li.open .title');
  await type(browser, 'Load of ink 2', '24');
  await reads(browser, /A load of .* is too much for resin/, 'li.open');
  await press(browser, 'Take out ink 2');
  await type(browser, 'as #', '#3b2f4a');
  await reads(browser, 'No drops of these inks come nearer in one coat.', 'au-which-inks');
  const offered = await browser.executeScript<string>(
    'return [...document.querySelectorAll("au-which-inks li b")].at(-1).innerText',
  );
  expect(offered).toMatch(/ of .* and /);
  await press(browser, `Take it: ${offered}`);
  const [, first] = /^\d+ \w+ of (.+?)(?:,| and)/.exec(offered) ?? [];
  await reads(browser, `Tinted resin: ${first}`, 'li.open');
  expect(await violations(browser)).toEqual([]);
  await kept(browser);
  await visit('/designs/apiary-noon/card');
  await reads(browser, new RegExp(`of ${first}, [\\d.]+ % load`), '.sheet');
});

test('as it grows: the slider is moved by keys, from the finished cup to the bare wall, and the cup goes along', async () => {
  await visit('/designs/peat-fire/coats?shown=growth');
  await reads(browser, /After coat \d+: \w/, 'au-as-it-grows');
  const slider = await browser.findElement({ css: 'au-slider input' });
  expect(await slider.getAccessibleName()).toBe('How far the cup has come');
  await slider.sendKeys(Key.HOME);
  await reads(browser, 'The wall as it comes', 'au-as-it-grows');
  await slider.sendKeys(Key.ARROW_RIGHT);
  await reads(browser, /After coat \d+: Base colour/, 'au-as-it-grows');
  await press(browser, 'In order', '[role=tab]');
  await reads(browser, 'Scuff and degrease', 'au-coats-stage');
});
