import { PATIENCE, kept, menuItem, painted, press, reads, resize, type } from '../src/browser';
import { tooWide, violations } from '../src/fit-and-axe';
import { browser, programForAll, visit } from '../src/running';

/* Ink on the surface: laid, drawn, checked, counted out. */
programForAll();

const coatsOf = async (design: string) => {
  await visit(`/designs/${design}/coats`);
  await reads(browser, 'Scuff and degrease');
};
const add = async (kind: string, title: RegExp) => {
  await press(browser, 'Add a coat');
  await menuItem(browser, kind);
  await reads(browser, title, 'li.open .title');
};

test('grain is brushed on, drawn otherwise by another hand, and stands on the card in drops', async () => {
  await coatsOf('peat-fire');
  await add('Brushed grain', /Brushed grain: \w+ and \w+/);
  await reads(browser, /Put the drops on a plate/, 'li.open');
  await press(browser, 'round the cup', 'mat-chip-option button');
  await press(browser, 'short strokes', 'mat-chip-option button');
  await reads(browser, 'short strokes round the turning cup', 'li.open');
  await press(browser, 'Another tone');
  await reads(browser, /Brushed grain: \w+, \w+ and \w+/, 'li.open .title');
  await type(browser, 'Drops of ink 3', '7');
  await type(browser, 'Knots', '40');
  await reads(browser, 'Over 16 knots it is no plank', 'li.open');
  await type(browser, 'Knots', '2');
  await press(browser, 'Laid by another hand');
  await painted(browser);
  expect(await violations(browser)).toEqual([]);
  await resize(browser, 390, 840);
  await browser.wait(async () => (await tooWide(browser)) <= 0, PATIENCE, 'fits a phone');
  await resize(browser, 1280, 800);
  await kept(browser);
  await visit('/designs/peat-fire/card');
  await reads(browser, /7 drops/);
});

test('a crackle says how high its ink comes and how long it takes; falling short is mended', async () => {
  await coatsOf('copper-eaves');
  await add('Film-wrapped crackle', /Crackle under film: \w+/);
  await reads(browser, /wait 5 days/, 'li.open');
  await type(browser, 'Thinned ink', '0.3');
  await reads(browser, /it comes about \d+ mm up/, 'li.open');
  await visit('/designs/copper-eaves/check');
  await reads(browser, '0.3 ml of ink don’t reach');
  await press(browser, /^Take \d+(\.\d)? ml$/);
  await browser.wait(
    async () => !(await browser.executeScript<string>('return document.body.innerText')).includes('ml of ink don’t reach'),
    PATIENCE,
    'mended',
  );
});

test('floated colours under resin want a barrier; sealed by one press', async () => {
  await coatsOf('orchard-frost');
  await add('Floated colours', /Floated colours: \w+/);
  await type(browser, 'Of it lands', '150');
  await reads(browser, 'No more lands than floats', 'li.open');
  await press(browser, 'Another bowl of water');
  await kept(browser);
  await reads(browser, /roll it over once/, 'li.open');
  await add('Clear resin', /Clear resin/);
  await kept(browser);
  await visit('/designs/orchard-frost/check');
  await reads(browser, 'Resin draws back from oily colour');
  await press(browser, 'Add a clear seal, 25 min');
  await browser.wait(
    async () => !(await browser.executeScript<string>('return document.body.innerText')).includes('Resin draws back'),
    PATIENCE,
    'sealed',
  );
});
