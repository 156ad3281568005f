import { Key } from 'selenium-webdriver';
import { PATIENCE, choose, menuItem, press, reads, withNamed, type } from '../src/browser';
import { browser, programForAll, visit } from '../src/running';

programForAll();

const go = async (path: string, says: string) => {
  await visit(path);
  await reads(browser, says);
};
const tag = async (design: string, word: string) => {
  await press(browser, `More for ${design}`);
  await menuItem(browser, 'Tags…');
  await withNamed(browser, 'au-words input', 'Tags', (field) => field.sendKeys(word, Key.ENTER));
  await reads(browser, word, 'au-words mat-chip-row');
  await press(browser, 'Keep these tags');
  await reads(browser, `· ${word}`, '.cups');
};

test('designs are tagged, found by their tag, narrowed to it, and stand tag by tag', async () => {
  await go('/designs', '6 designs');
  await tag('Copper Eaves', 'autumn fair');
  // Put on out of those used before, by its first letters: that word alone, and not the letters too.
  await press(browser, 'More for Peat Fire');
  await menuItem(browser, 'Tags…');
  await withNamed(browser, 'au-words input', 'Tags', (field) => field.sendKeys('aut'));
  await reads(browser, 'autumn fair', 'mat-option');
  await withNamed(browser, 'au-words input', 'Tags', (field) => field.sendKeys(Key.ARROW_DOWN, Key.ENTER));
  await reads(browser, /^\s*autumn fair\s*$/, 'au-words mat-chip-row');
  await press(browser, 'Keep these tags');
  await reads(browser, 'Conical 470 ml · autumn fair', '.cups');
  await type(browser, 'Find a design', 'fair');
  await reads(browser, 'Found 2 designs');
  await type(browser, 'Find a design', ' ');
  await press(browser, 'Narrow');
  await press(browser, 'autumn fair 2', '[role=option]');
  await reads(browser, 'Found 2 designs');
  await press(browser, 'autumn fair 2', '[role=option]');
  await reads(browser, 'Lately on the table 6 designs');
  await choose(browser, 'In order', 'by tag');
  await reads(browser, /autumn fair\s+2[\s\S]+Peat Fire[\s\S]+without a tag\s+4/);
  await choose(browser, 'In order', 'newest first');
  await choose(browser, 'Kept last', 'longer ago');
  await reads(browser, 'No design fits all of this. Ask for less.');
  await press(browser, 'Narrow');
  await reads(browser, 'Lately on the table 6 designs');
});

test('what is done with is archived and comes back; what was removed is there for thirty days', async () => {
  await go('/designs', '6 designs');
  await press(browser, 'More for Thistle Weave');
  await menuItem(browser, 'Archive');
  await reads(browser, '5 designs');
  await go('/designs?where=archive', 'Archived 1 design');
  await press(browser, 'More for Thistle Weave');
  await menuItem(browser, 'Back on the table');
  await reads(browser, 'Nothing is archived.');
  await go('/designs', '6 designs');
  await press(browser, 'More for Peat Fire');
  await menuItem(browser, 'Remove');
  await reads(browser, '5 designs');
  await go('/designs?where=removed', 'removed today, here 30 more days');
  await press(browser, 'More for Peat Fire');
  await menuItem(browser, 'Bring back');
  await reads(browser, 'Nothing was removed in the last 30 days.');
  await go('/designs', '6 designs');
});

test('any place, deed, design, jar or cup is reached by its name on one key', async () => {
  const body = () => browser.switchTo().activeElement();
  const ask = async (words: string, finds: RegExp) => {
    await body().sendKeys('.');
    await withNamed(browser, 'au-command-dialog input', 'Go to or do', (field) => field.sendKeys(words));
    await reads(browser, finds, '.commands mat-option.mat-mdc-option-active');
    await body().sendKeys(Key.ENTER);
    await browser.wait(
      async () => (await browser.findElements({ css: 'au-command-dialog' })).length === 0,
      PATIENCE,
      'it never closes',
    );
  };
  await go('/designs', '6 designs');
  await ask('kiln', /Kiln Ash/);
  await reads(browser, 'flakes in a ml');
  await ask('wine cup', /Slate & Saffron|Wine cup/);
  await go('/designs/copper-eaves/cup', 'Which cup is it?');
  await ask('coats', /Coats: 14 coats/);
  await reads(browser, 'Add a coat');
  await ask('measure', /Measure a cup/);
  await reads(browser, 'Which kind is it?');
  await ask('evening', /Evening light/);
  await browser.wait(
    async () => (await browser.executeScript('return document.documentElement.dataset.light')) === 'evening',
    PATIENCE,
    'it never gets evening',
  );
  await ask('daylight', /Daylight/);
  await body().sendKeys('.');
  await withNamed(browser, 'au-command-dialog input', 'Go to or do', (field) => field.sendKeys('no such thing'));
  await reads(browser, 'Nothing is called so.', 'au-command-dialog');
});
