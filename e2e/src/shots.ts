import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { choose, menuItem, openBrowser, painted, picture, press, reads, resize, type, type Browser } from './browser';
import { Program } from './program';

const FOLDER = join(__dirname, '..', '..', 'docs', 'screenshots');

/** Every main view, from the demo data, in the order the README shows them. */
const shots: readonly { name: string; path: string; says: string | RegExp; then?: (browser: Browser) => Promise<void> }[] = [
  { name: 'designs', path: '/designs', says: /Thistle Weave\s+\d+ coats/ },
  { name: 'cup', path: '/designs/orchard-frost/cup', says: 'Which cup is it?' },
  { name: 'areas', path: '/designs/thistle-weave/areas', says: 'Left over on the wall' },
  {
    name: 'templates',
    path: '/designs/copper-eaves/areas',
    says: 'Left over on the wall',
    then: async (browser) => {
      await press(browser, 'Templates');
      await press(browser, /^Ridge, lower edge/);
      await reads(browser, 'whole teeth go once round');
    },
  },
  {
    name: 'colour',
    path: '/designs/copper-eaves/colour',
    says: 'By the eye',
    then: async (browser) => {
      await browser.executeScript(
        '[...document.querySelectorAll("mat-chip-option button")].find((chip) => chip.innerText.includes("Eaves")).click()',
      );
      await reads(browser, 'Lamp Oil');
    },
  },
  {
    name: 'find-mix',
    path: '/designs/copper-eaves/colour',
    says: 'By the eye',
    then: async (browser) => {
      await browser.executeScript(
        '[...document.querySelectorAll("mat-chip-option button")].find((chip) => chip.innerText.includes("Eaves")).click()',
      );
      await press(browser, 'Find a mix');
      await reads(browser, 'All of it searched');
    },
  },
  {
    name: 'coats',
    path: '/designs/copper-eaves/coats',
    says: 'Scuff and degrease',
    then: async (browser) => {
      await browser.executeScript('document.querySelectorAll("au-coats-stage .title")[8].click()');
      await reads(browser, 'Waits for');
      await browser.executeScript('document.querySelector("li.open").scrollIntoView({ block: "center" })');
    },
  },
  { name: 'amounts', path: '/designs/peat-fire/amounts', says: 'Part A' },
  { name: 'card', path: '/designs/copper-eaves/card', says: 'Rest until cured through' },
  { name: 'shelf', path: '/shelf?item=first-frost', says: 'flakes in a ml' },
  {
    name: 'palettes',
    path: '/shelf/palettes',
    says: 'Lantern week',
    then: async (browser) => {
      await press(browser, 'Find a mix for each');
      await browser.wait(
        () => browser.executeScript<boolean>('return !document.body.innerText.includes("no mix yet")'),
        60000,
        'not every colour gets its mix',
      );
    },
  },
  {
    name: 'fade',
    path: '/designs/apiary-noon/colour',
    says: 'This will show',
  },
  { name: 'cups', path: '/cups', says: 'Measuring sheet' },
  { name: 'clock', path: '/designs/orchard-frost/coats?shown=clock', says: 'hands on' },
  {
    name: 'growth',
    path: '/designs/peat-fire/coats?shown=growth',
    says: 'After coat',
    then: async (browser) => (await browser.findElement({ css: 'au-slider input' })).sendKeys(Key.ARROW_LEFT),
  },
  {
    name: 'findings',
    path: '/designs/orchard-frost/coats',
    says: 'Clear seal',
    then: async (browser) => {
      await browser.executeScript(
        '[...document.querySelectorAll("au-coats-stage .title")].find((title) => title.innerText.includes("Clear seal")).click()',
      );
      await press(browser, 'Remove this coat');
      await reads(browser, '1 thing to look at', '.rail');
      await press(browser, /^Check/, '.rail a');
      await choose(browser, 'What do you see?', 'Bubbles in the cured film');
      await reads(browser, 'In this design');
      await browser.executeScript('document.querySelector(".stage").scrollTop = 0');
    },
  },
  // Last: they lay coats, and make a cup.
  {
    name: 'bench',
    path: '/bench',
    says: 'Nothing is on the bench',
    then: async (browser) => {
      await browser.get((await browser.getCurrentUrl()).replace('/bench', '/designs/copper-eaves/card'));
      await reads(browser, 'Rest until cured through');
      await press(browser, 'Make it');
      await type(browser, 'For whom, or when', 'for Friday');
      await press(browser, /^To the bench/, 'mat-dialog-container button');
      for (let coat = 1; coat < 9; coat += 1) {
        await reads(browser, `Coat ${coat} of`, 'au-coat-work');
        await press(browser, /^Begin/, '.large');
        await press(browser, 'It is on', '.large');
      }
      await reads(browser, 'First resin over the glitter', 'au-coat-work h2');
      await press(browser, /^Begin/, '.large');
      await reads(browser, /Stir\s+2:/, 'au-coat-work');
      await browser.executeScript('document.activeElement.blur()');
    },
  },
  {
    name: 'grain',
    path: '/designs/copper-eaves/coats',
    says: 'Scuff and degrease',
    then: async (browser) => {
      await press(browser, 'Add a coat');
      await menuItem(browser, 'Brushed grain');
      await reads(browser, 'Put the drops on a plate');
      await press(browser, 'Another tone');
      await painted(browser);
      await browser.executeScript('document.querySelector("li.open").scrollIntoView({ block: "start" })');
    },
  },
  {
    name: 'strings',
    path: '/designs/peat-fire/coats',
    says: 'Scuff and degrease',
    then: async (browser) => {
      await press(browser, 'Add a coat');
      await menuItem(browser, 'Strings of colour');
      await reads(browser, /Strings: \w/, 'li.open');
      await press(browser, 'Another pot of colour');
      await reads(browser, /Strings: .* and /, 'li.open .title');
      await type(browser, 'Load of ink 2', '3');
      await reads(browser, 'when it lies still', 'au-string-flow');
      await reads(browser, 'Colours run into each other', 'au-string-flow');
      await browser.executeScript('document.querySelector("au-string-flow").scrollIntoView({ block: "center" })');
    },
  },
];

async function main(): Promise<void> {
  mkdirSync(FOLDER, { recursive: true });
  const program = new Program(true);
  const browser = await openBrowser();
  try {
    await program.start();
    await resize(browser, 1280, 800);
    for (const { name, path, says, then } of shots) {
      await browser.get(`${program.address}${path}`);
      await reads(browser, says);
      await then?.(browser);
      if (path.startsWith('/designs') || path === '/cups') await painted(browser);
      await picture(browser, join(FOLDER, `${name}.png`));
      process.stdout.write(`docs/screenshots/${name}.png\n`);
    }
  } finally {
    await browser.quit();
    await program.end();
  }
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
