import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PATIENCE, kept, press, reads, see, type, withNamed } from '../src/browser';
import { browser, program, programForAll, visit } from '../src/running';

programForAll();
afterEach(async () =>
  expect(await browser.executeScript('return document.body.innerText')).not.toMatch(/NaN|undefined|Infinity|\[object/),
);

const open = async (path: string) => {
  await visit(path);
  await kept(browser);
};
const surface = () => browser.executeScript<string>('return document.querySelector(".rail a").innerText');

test.each([
  ['Circumference at the foot', '0', /Was the diameter typed/],
  ['Circumference at the foot', '-40', /Was the diameter typed/],
  ['Circumference at the rim', '99999999', /800 mm/],
  ['Height at the rim', '0', /must be above 0|at least 20/],
  ['Height at the rim', 'about a hand', /Type a number/],
  ['Height at the rim', '', /Type a number/],
  ['Bare strip under the lip', '-1', /negative/],
  ['Bare strip under the lip', '60.5', /60 mm/],
])('%s typed as “%s” gets a sentence', async (field, text, sentence) => {
  await open('/designs/copper-eaves/cup');
  const before = await surface();
  await type(browser, field, text || ' ');
  await reads(browser, sentence, '.wrong-note');
  expect(await surface()).toBe(before);
  expect(await withNamed(browser, 'input', field, (found) => found.getAttribute('aria-invalid'))).toBe('true');
});

test('stations that go backwards are named, and the cup stays', async () => {
  await open('/designs/orchard-frost/cup');
  const before = await surface();
  await type(browser, 'Height at the bend 2', '20');
  await reads(browser, 'Heights go upwards: this must be above 30 mm.');
  expect(await surface()).toBe(before);
});

test('a cup too short for the areas is refused with the area’s name', async () => {
  await open('/designs/copper-eaves/cup');
  const before = await surface();
  await type(browser, 'Height at the rim', '130');
  await reads(browser, '“Eaves” reaches up to 150 mm, but this cup ends at 130 mm. The cup stays as it was.');
  expect(await surface()).toBe(before);
});

test('another cup that is too short takes the areas along when told', async () => {
  await open('/designs/copper-eaves/cup');
  await press(browser, 'Wine cup 350 ml');
  await reads(browser, 'but this cup ends at 118 mm');
  await press(browser, 'Fit the areas to Wine cup 350 ml');
  await reads(browser, '284.1 cm² to coat', '.rail');
  await reads(browser, '4 areas, none left over', '.rail');
  await press(browser, 'Undo');
  await reads(browser, '537.8 cm² to coat', '.rail');
  await kept(browser);
});

test('areas that go from the foot to the coats’ end fit any cup by themselves', async () => {
  await open('/designs/thistle-weave/cup');
  await press(browser, 'Wine cup 350 ml');
  await reads(browser, '284.1 cm² to coat', '.rail');
  await reads(browser, '8 areas, none left over', '.rail');
  await kept(browser);
});

test('an area outside the cup, and one upside down', async () => {
  await open('/designs/copper-eaves/areas');
  await type(browser, 'Upper edge', '300');
  await reads(browser, 'this cup ends at 205 mm', '.wrong-note');
  await type(browser, 'Upper edge', '0');
  await reads(browser, 'must end above where it starts', '.wrong-note');
  await reads(browser, '4 areas, none left over', '.rail');
});

test('amounts: nothing, less than nothing, too much, words', async () => {
  await open('/designs/copper-eaves/colour');
  await reads(browser, 'Quarry Moss');
  for (const [text, sentence] of [
    ['0', /above zero/],
    ['-3', /above zero/],
    ['100000', /500 ml/],
    ['a pinch', /Type a number/],
  ] as const) {
    await type(browser, 'Quarry Moss, ml', text);
    await reads(browser, sentence, '.wrong-note');
  }
  await reads(browser, '47.0 ml', '.tally');
});

test('a coat that is too thick is taken, and stopped; one that is no coat isn’t taken', async () => {
  await open('/designs/apiary-noon/coats');
  await browser.executeScript(
    '[...document.querySelectorAll(".title")].find((t) => t.innerText.includes("Clear resin")).click()',
  );
  await type(browser, 'Film', '1.4');
  await reads(browser, 'A film of 1.40 mm at once runs to the foot.');
  await type(browser, 'Film', '40');
  await reads(browser, 'A film over 3 mm is no coat.', '.wrong-note');
  await press(browser, 'Make it 0.40 mm');
  await browser.wait(
    async () => !(await browser.executeScript<string>('return document.body.innerText')).includes('runs to the foot'),
    PATIENCE,
    'the stop never goes',
  );
});

describe('files', () => {
  const bring = async (text: string) => {
    await visit('/designs');
    const path = join(mkdtempSync(join(tmpdir(), 'aurantia-file-')), 'design.json');
    writeFileSync(path, text);
    await reads(browser, 'Lately on the table');
    await browser.findElement({ css: 'input[type=file]' }).sendKeys(path);
  };
  const good = readFileSync(join(import.meta.dirname, '..', '..', 'demo', 'designs', 'peat-fire.json'), 'utf8');

  test('rubbish and another version are refused with the place and a sentence', async () => {
    await bring('equal parts, more or less');
    await reads(browser, 'This isn’t JSON', '.faults');
    await bring(good.replace('"version": 2', '"version": 7'));
    await reads(browser, 'This file is of another version; this program reads version 2.', '.faults');
    await bring(good.replace('"item": "penny-rain"', '"item": "no-such-jar"'));
    await reads(browser, 'No glitter with the id “no-such-jar” is on the shelf in this file.', '.faults');
    await press(browser, 'Close');
    await browser.wait(
      async () => (await browser.findElements({ css: '.faults' })).length === 0,
      PATIENCE,
      'the faults never close',
    );
  });
  test('a good one comes in as a copy of what is here', async () => {
    await bring(good);
    await reads(browser, 'Peat Fire, copy');
  });
});

test('a jar taken off the shelf stays readable in the designs that use it', async () => {
  await visit('/shelf?item=wet-slate');
  await press(browser, 'Take off the shelf');
  await reads(browser, 'Wet Slate is off the shelf.');
  await reads(browser, 'Instead of Wet Slate', 'aside');
  await reads(browser, /away/, 'aside li');
  await open('/designs/slate-and-saffron/colour');
  await reads(browser, 'no longer on the shelf');
  await reads(browser, 'A glitter of this blend isn’t on the shelf any more.');
  await see(browser, 'tr.missing');
  await reads(browser, 'Wet Slate', 'tr.missing');
  await press(browser, 'What instead?');
  await reads(browser, /\d jars?: ((no visible|slight|clear) difference|far apart)/, 'au-find-mix');
});

test('a design without coats leads to them, and not to the bench', async () => {
  const reply = await fetch(`${program.address}/api/designs/peat-fire`);
  const { document, revision } = (await reply.json()) as { document: object; revision: number };
  await program.send('PUT', 'designs/peat-fire', { parent: revision, document: { ...document, coats: [] } });
  await open('/designs/peat-fire/card');
  await press(browser, 'Make it');
  await reads(browser, 'This design has no coats yet: lay some, then make it.');
  await press(browser, 'To the coats');
  await reads(browser, /none yet/, '.rail');
  expect(new URL(await browser.getCurrentUrl()).pathname).toBe('/designs/peat-fire/coats');
});
