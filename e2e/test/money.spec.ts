import { By } from 'selenium-webdriver';
import { choose, PATIENCE, press, reads, type } from '../src/browser';
import { violations } from '../src/fit-and-axe';
import { browser, program, programForAll } from '../src/running';

/* What a cup costs and is worth: priced, and while it is designed. */
programForAll();

test('a cup is priced: its floor, what a price earns, what a wage asks; a fee that leaves nothing is refused', async () => {
  await browser.get(`${program.address}/week/money`);
  await choose(browser, 'Design', 'Copper Eaves');
  await reads(browser, /Ask\s+[\d.]+ €\s+a cup/, 'au-priced-design');
  await reads(browser, 'is the floor', 'au-priced-design');
  expect(await violations(browser)).toEqual([]);
  const asked = async (): Promise<number> =>
    Number(/([\d.]+) €/.exec(await browser.findElement(By.css('.price b')).getText())?.[1]);
  const before = await asked();
  const wished = async () =>
    /([\d.]+) €/.exec(await browser.findElement(By.css('.turned:nth-of-type(3) p')).getText())?.[1] ?? '';
  const asWas = await wished();
  await type(browser, 'For an hour to earn', '20');
  await browser.wait(async () => (await wished()) !== asWas, PATIENCE, 'another wage asks the same price');
  const price = await wished();
  await type(browser, 'At a price of', price);
  await reads(browser, /an hour of hands earns 2[01]\.\d\d €/, '.turned');
  await type(browser, 'Margin', '60');
  await browser.wait(async () => (await asked()) > before, PATIENCE, 'a larger margin asks no more');
  await type(browser, 'Fee of the place', '100');
  await reads(browser, 'all fee nothing is left', '.ways');
  await type(browser, 'A pair of gloves', '-1');
  await reads(browser, /less than nothing|more than nothing|0 or more|negative/i, '.ways');
  await press(browser, 'Coat', 'mat-button-toggle button');
  await reads(browser, /First resin over the glitter/, 'au-bars table');
  await press(browser, 'Kind', 'mat-button-toggle button');
  await reads(browser, /Hours/, 'au-bars table');
});

test('what a change costs shows while designing', async () => {
  await browser.get(`${program.address}/designs/copper-eaves/coats`);
  await reads(browser, /€\s+a cup costs/, '.tally');
  await browser.executeScript(
    '[...document.querySelectorAll(".title")].find((t) => t.innerText.includes("Clear resin")).click()',
  );
  await type(browser, 'Film', '0.8');
  await reads(browser, /€ more than as opened/, '.tally');
  await press(browser, /a cup costs/, '.tally button');
  await reads(browser, 'What would be cheaper', 'mat-dialog-container');
  await reads(browser, /Without coat \d+, “Clear resin”/, 'mat-dialog-container');
  expect(await violations(browser)).toEqual([]);
});
