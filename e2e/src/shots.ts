import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { choose, openBrowser, painted, picture, press, reads, resize, withNamed, type Browser } from './browser';
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
    name: 'evening',
    path: '/designs/thistle-weave/areas',
    says: 'Left over on the wall',
    then: async (browser) => {
      await browser.executeScript('localStorage.setItem("aurantia.light", "evening")');
      await browser.navigate().refresh();
      await reads(browser, 'Left over on the wall');
      await browser.executeScript('localStorage.removeItem("aurantia.light")');
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
    name: 'cut-through',
    path: '/designs/slate-and-saffron/coats?shown=cut',
    says: 'of coats here',
    then: (browser) =>
      withNamed(browser, 'au-cup-view .handle', 'Where the coats are cut through', (knob) =>
        knob.sendKeys(...Array.from({ length: 4 }, () => Key.chord(Key.SHIFT, Key.ARROW_UP))),
      ),
  },
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
];

/** One view as it is on five screens, from a desk's to a phone's, in one picture. */
const sizes = [
  [1920, 1080],
  [1280, 800],
  [1024, 768],
  [820, 1180],
  [390, 844],
] as const;

async function fiveSizes(browser: Browser, address: string): Promise<void> {
  const taken: string[] = [];
  for (const [width, height] of sizes) {
    await resize(browser, width, height);
    await browser.get(`${address}/designs/copper-eaves/colour`);
    await reads(browser, 'By the eye');
    await painted(browser);
    const scale = 0.27;
    const image = `data:image/png;base64,${await browser.takeScreenshot()}`;
    taken.push(
      `<figure><img src="${image}" width="${width * scale}" height="${height * scale}"><figcaption>${width} × ${height}</figcaption></figure>`,
    );
  }
  await resize(browser, 1280, 800);
  const style =
    'body{margin:0;padding:16px;display:flex;flex-wrap:wrap;gap:14px;align-items:end;justify-content:center;background:#fbf6ee;font:14px sans-serif}figure{margin:0}img{display:block;border:1px solid #cdb99e}figcaption{padding-top:4px}';
  await browser.get('about:blank');
  await browser.executeScript('document.body.innerHTML = arguments[0]', `<style>${style}</style>${taken.join('')}`);
  await picture(browser, join(FOLDER, 'sizes.png'));
}

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
    await fiveSizes(browser, program.address);
  } finally {
    await browser.quit();
    await program.end();
  }
}

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
