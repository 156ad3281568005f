import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { PATIENCE, kept, named, press, reads, resize, tick, type, valueOf } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { stripedPng } from '../src/flat-photo';
import { browser, programForAll, visit } from '../src/running';

/* Inks read off a dab, and colours told through gloss. */
programForAll();

const openItem = async (id: string, says: string) => {
  await visit(`/shelf?item=${id}`);
  await reads(browser, says, 'au-item-form');
  await press(browser, 'Read it off a dab');
  await reads(browser, 'Stir some drops into clear resin', 'au-ink-dab');
};

test('an ink is read off a photo of a dab under a yellow lamp, and is surer for it', async () => {
  await openItem('madder', 'Usual values for its sort');
  await type(browser, 'Drops', '4');
  const path = join(mkdtempSync(join(tmpdir(), 'aurantia-dab-')), 'dab.png');
  writeFileSync(
    path,
    // The dab on the card, the dab on the line, the card, the line: white comes out as #f4dcaa.
    stripedPng([
      [0xb4, 0x40, 0x24],
      [0x20, 0x14, 0x0b],
      [0xf4, 0xdc, 0xaa],
      [0x20, 0x1d, 0x15],
    ]),
  );
  await (await browser.findElement(By.css('au-ink-dab input[type=file]'))).sendKeys(path);
  const canvas = await named(browser, 'canvas', /^The photo/);
  await press(browser, 'Pick the white card');
  const along = (steps: number) =>
    canvas.sendKeys(...Array.from({ length: Math.abs(steps) }, () => (steps < 0 ? Key.ARROW_LEFT : Key.ARROW_RIGHT)), Key.ENTER);
  await along(3);
  // Each press is the next spot that isn't known yet.
  await along(-10);
  await reads(browser, 'Take it over', 'au-ink-dab');
  await along(5);
  await along(5);
  await along(5);
  await reads(browser, /Colour ± [12]\.\d ΔE00, strength ± 1\d %\./, 'au-ink-dab');
  await reads(browser, /as an ink of this colour looks: (no visible|slight) difference/, 'au-ink-dab');
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 840);
  await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'fits a phone');
  await resize(browser, 1280, 800);
  await press(browser, /^Take it over: #/);
  await reads(browser, 'From a dab.', 'au-item-form');
  expect(await valueOf(browser, 'Shows colour at')).toBe('1.6');
  // Typed over, it rests on the dab no longer.
  await type(browser, 'as #', '#b0402c');
  await reads(browser, 'From its label', 'au-item-form');
});

test('a dab that says nothing gets a sentence, and a pearl wants a dark line', async () => {
  await openItem('fog-lamp', 'Platelets that gleam');
  await tick(browser, 'There is a black line under it');
  await reads(browser, 'draw a black line under the dab', 'au-ink-dab');
  await openItem('sloe', 'See-through');
  await type(browser, 'Drops', '0');
  await browser.executeScript(
    'const dot = document.querySelector("au-ink-dab .spots input"); dot.value = "#5a3a86"; dot.dispatchEvent(new Event("input", { bubbles: true })); dot.dispatchEvent(new Event("change", { bubbles: true }))',
  );
  await reads(browser, 'Count whole drops or scoops, one at least.', 'au-ink-dab');
  await type(browser, 'Drops', '1000');
  await reads(browser, 'nobody counts right', 'au-ink-dab');
  await type(browser, 'Drops', '3');
  await type(browser, 'over', '0');
  await reads(browser, 'A dab is 0.05 to 2 mm thick', 'au-ink-dab');
  await type(browser, 'over', '50');
  await reads(browser, 'A photo with a white or grey card in it would make its colour surer', 'au-ink-dab');
});

test('colours under resin are told through its gloss once the workshop wants it', async () => {
  const colours = () =>
    browser.executeScript<readonly string[]>(
      'return [...document.querySelectorAll("au-as-it-grows tbody tr:first-child td")].map((one) => one.innerText)',
    );
  await visit('/designs/peat-fire/coats?shown=growth');
  await reads(browser, 'What is seen from across a table', 'au-as-it-grows');
  const before = await colours();
  await press(browser, /mm · ml/);
  await press(browser, /^Colours under resin/, 'mat-slide-toggle button');
  await press(browser, 'Done');
  await reads(browser, 'Under resin, through its gloss.', 'au-as-it-grows');
  const after = await colours();
  expect(after[0]).toBe(before[0]);
  expect(after.at(-1)).not.toBe(before.at(-1));
});

test('a coat thins out on the way up in pots, is counted out on the card, and of pots that look alike becomes one again', async () => {
  await visit('/designs/peat-fire/coats');
  await reads(browser, 'Scuff and degrease');
  await press(browser, /Tinted resin/, 'mat-expansion-panel-header');
  await tick(browser, 'from one load to another on the way up, in pots');
  await type(browser, 'Load at its lower end', '2');
  await type(browser, 'Load at its upper end', '0');
  await type(browser, 'Pots', '13');
  await reads(browser, 'More than 12 pots no hand lays while they are wet', 'li.open');
  await type(browser, 'Pots', '4');
  await reads(browser, /Tinted pot: [\d.]+ ml, \d+ drops? of/, 'li.open au-coat-amounts');
  await reads(browser, /ml tinted \+ [\d.]+ ml clear/, 'li.open au-coat-amounts');
  await reads(browser, 'Each row is what of one pot lies there', 'li.open');
  expect(await violations(browser)).toEqual([]);
  await press(browser, 'Another ink in the pot');
  await type(browser, 'Ink 2, upper end', '1.5');
  await reads(browser, /Lower pot: [\d.]+ ml/, 'li.open au-coat-amounts');
  await press(browser, 'Take out ink 2');
  await resize(browser, 390, 844);
  expect(await tooWide(browser)).toBeLessThanOrEqual(0);
  await resize(browser, 1280, 800);
  await kept(browser);
  await visit('/designs/peat-fire/card');
  await reads(browser, /Clear pot: [\d.]+ ml, no ink/, '.sheet');
  await visit('/designs/peat-fire/coats');
  await reads(browser, 'Scuff and degrease');
  await press(browser, /Tinted resin/, 'mat-expansion-panel-header');
  await type(browser, 'Load at its upper end', '1.98');
  await reads(browser, 'look nearly alike', 'li.open');
  await press(browser, 'Lay it as one pot');
  await reads(browser, 'Load, of the resin', 'li.open');
});
