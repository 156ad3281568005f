import { PATIENCE, press, reads, takeJar } from '../src/browser';
import { browser, program, programForAll } from '../src/running';

programForAll({ demo: false });

const step = (says: string | RegExp) => reads(browser, says, 'au-first-cup');

test('a first cup in six steps, on a cup of one’s own; left by a reload, it goes on', async () => {
  await browser.get(`${program.address}/designs`);
  await press(browser, 'Put typical materials on the shelf');
  await reads(browser, '60 typical materials on the shelf.');
  await press(browser, 'Show me how, in six steps');
  await step('Choose your cup.');
  await press(browser, 'Pass over');
  await step('Split it into areas.');
  await press(browser, 'Go there');
  await press(browser, 'Split in two bands');
  await step('Give each area its glitter.');
  await press(browser, 'Go there');
  await browser.navigate().refresh();
  await step('Give each area its glitter.');
  await press(browser, 'Add a glitter');
  await takeJar(browser, 'Teal, medium');
  await step('Give each area its glitter.');
  await press(browser, /^Band 2/, '[role=option]');
  await press(browser, 'Add a glitter');
  await takeJar(browser, 'Gold, medium');
  await step('Lay the coats in order.');
  await browser.get(`${program.address}/designs`);
  await press(browser, 'Go on with the first cup');
  await step('Lay the coats in order.');
  await press(browser, 'Go there');
  await press(browser, 'Suggest the coats');
  await step('Take the card with you.');
  await press(browser, 'Go there');
  await step('That was a first cup.');
  await press(browser, 'Done');
  await browser.wait(
    async () => (await browser.findElements({ css: 'au-first-cup' })).length === 0,
    PATIENCE,
    'the lesson never ends',
  );
});
