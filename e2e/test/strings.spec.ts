import { choose, kept, menuItem, press, reads, tick, type, valueOf } from '../src/browser';
import { violations } from '../src/fit-and-axe';
import { browser, programForAll, visit } from '../src/running';

/* Strings of colour: laid, run, compared, mended, counted out. */
programForAll();

const coatsOf = async (design: string) => {
  await visit(`/designs/${design}/coats`);
  await reads(browser, 'Scuff and degrease');
};

test('strings are laid into the last coat, run till they lie still, are compared with other ways, and stand on the card', async () => {
  await coatsOf('peat-fire');
  await press(browser, 'Add a coat');
  await menuItem(browser, 'Strings of colour');
  await reads(browser, /Strings: \w/, 'li.open');
  await reads(browser, 'when it lies still', 'au-string-flow');
  await reads(browser, /Covers of the wall\s*\d+ %/, 'au-string-flow');
  await press(browser, 'Another pot of colour');
  await reads(browser, /Strings: .* and /, 'li.open .title');
  await reads(browser, 'Colours run into each other', 'au-string-flow');
  await reads(browser, /of their liveliness is lost where they meet|may be wet together/, 'au-string-flow .meetings');
  expect(await violations(browser)).toEqual([]);
  await reads(browser, 'when it lies still', 'au-string-flow');
  await press(browser, 'Compare other ways');
  await reads(browser, /laid 5 min after mixing\s+\d+ %/, 'au-string-flow table');
  expect(await violations(browser)).toEqual([]);
  await reads(browser, /in 1\.5 ml held back/, 'li.open au-coat-amounts');
  await kept(browser);
  await visit('/designs/peat-fire/card');
  await reads(browser, 'Hold back 3.0 ml in the pot for the colour.', '.sheet');
  await reads(browser, /1\.5 ml held back: \d+ drops? of/, '.sheet');
});

test('heads, an edge that isn’t named and drops without end are told, and mended where one press can', async () => {
  await coatsOf('copper-eaves');
  await press(browser, 'Add a coat');
  await menuItem(browser, 'Strings of colour');
  await reads(browser, /Strings: \w/, 'li.open');
  await tick(browser, 'only between two heights');
  await reads(browser, 'grows heads there', 'li.open');
  await press(browser, 'Carry them over both edges');
  await browser.wait(async () => (await browser.findElements({ css: 'au-strings-form au-number' })).length === 0, 10000);
  await press(browser, 'along an edge', 'au-strings-form [role=option]');
  await choose(browser, 'Along the upper edge of', 'Foot');
  await reads(browser, 'along the edge, with the cup turning slowly', 'li.open dl');
  await press(browser, 'drops', 'au-strings-form [role=option]');
  await type(browser, 'Lines or drops, in all', '100');
  await type(browser, 'Held back for it', '20');
  await reads(browser, /covers \d+ % of the wall once it lies still: drops run into each other/, 'li.open');
  await press(browser, /^Lay \d+ drops? of [\d.]+ ml in all/);
  await browser.wait(async () => (await valueOf(browser, 'Held back for it')) !== '20', 10000);
  await type(browser, 'Held back for it', '0');
  await reads(browser, 'Hold back at least 0.5 ml', 'li.open');
});
