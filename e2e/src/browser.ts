import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Builder, By, Key, until, type WebElement } from 'selenium-webdriver';
import { Driver as ChromeDriver, Options, ServiceBuilder } from 'selenium-webdriver/chrome';
import { nowNamed } from './by-name';
import { ROOT } from './program';

export type Browser = ChromeDriver;

/** How long a condition may take to come true, ms: long, for where other programs keep every core busy. */
export const PATIENCE = 100_000;
/** How long it is left alone between two looks, ms. */
const OFTEN = 50;

/** What draws and runs pages, without the windows around it: begun in a tenth of the time. */
const ENGINE = '/usr/lib/chromium/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';

/**
 * A fresh Chromium without a window.
 * @param graphics false takes WebGL away, as on a machine without a graphics card
 * @param whole true for the browser as makers have it, for what is measured; else its engine alone does, where it is installed
 */
export async function openBrowser(graphics = true, whole = false): Promise<Browser> {
  const options = new Options();
  options.setUserPreferences({
    // What was typed by one test isn't offered to another.
    'autofill.profile_enabled': false,
    'autofill.credit_card_enabled': false,
    // What a page hands out to be saved would lie where the tests were started from.
    'download.default_directory': join(ROOT, '.test', 'saved'),
  });
  options.setBinaryPath(!whole && existsSync(ENGINE) ? ENGINE : WHOLE);
  options.addArguments(
    '--headless=new',
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    ...(graphics
      ? ['--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist']
      : ['--disable-3d-apis', '--force-prefers-reduced-motion']),
  );
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build();
  const browser = driver as unknown as Browser;
  const wait = browser.wait.bind(browser) as (what: unknown, patience: number, message: string, often: number) => unknown;
  browser.wait = ((what: unknown, patience: number, message: string) => wait(what, patience, message, OFTEN)) as Browser['wait'];
  // A page starved by a busy machine answers late; whether it shows what it should is the conditions' affair.
  await browser.manage().setTimeouts({ script: 2 * PATIENCE });
  await resize(browser, 1280, 800);
  return browser;
}

/** An exact size of the page, whatever the window manager thinks; each css pixel so many dots wide. */
export async function resize(browser: Browser, width: number, height: number, deviceScaleFactor = 1): Promise<void> {
  await browser.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', { width, height, deviceScaleFactor, mobile: false });
}

export async function see(browser: Browser, css: string): Promise<WebElement> {
  const element = await browser.wait(until.elementLocated(By.css(css)), PATIENCE, `nothing matches ${css}`);
  return browser.wait(until.elementIsVisible(element), PATIENCE, `${css} isn’t visible`);
}

/** Waits for an element by the name a screen reader would say, or by the text it shows. */
export async function named(browser: Browser, css: string, name: string | RegExp): Promise<WebElement> {
  return browser.wait(
    () => nowNamed(browser, css, name, 'shown'),
    PATIENCE,
    `no ${css} is named “${name}”`,
  ) as Promise<WebElement>;
}

/** What was there a moment ago was redrawn, or something still moves over it: false, so that it is tried again. */
function laterPerhaps(error: unknown): false {
  if (error instanceof Error && /stale|intercepted|not interactable/i.test(error.name + error.message)) return false;
  throw error;
}

/** Does something with a named element; where the page redrew it in between, with the new one. */
export async function withNamed<Result>(
  browser: Browser,
  css: string,
  name: string | RegExp,
  does: (element: WebElement) => Promise<Result>,
): Promise<Result> {
  let done: { result: Result } | null = null;
  await browser.wait(
    async () => {
      try {
        done = { result: await does(await named(browser, css, name)) };
        return true;
      } catch (error) {
        return laterPerhaps(error);
      }
    },
    PATIENCE,
    `nothing can be done with “${name}”`,
  );
  return (done as { result: Result } | null)?.result as Result;
}

export const press = (browser: Browser, name: string | RegExp, css = 'button, a, [role=menuitem], [role=radio]'): Promise<void> =>
  withNamed(browser, css, name, (element) => element.click());

/** Ticks a thing that is so or not, or takes its tick away. What takes the press lies unseen over the drawn box. */
export async function tick(browser: Browser, name: string | RegExp): Promise<void> {
  await browser.wait(
    async () => {
      try {
        const box = await nowNamed(browser, 'input[type=checkbox]', name, 'enabled');
        return box === null ? false : await box.click().then(() => true);
      } catch (error) {
        return laterPerhaps(error);
      }
    },
    PATIENCE,
    `no “${name}” to tick`,
  );
}

/** What a field holds. */
export const valueOf = (browser: Browser, name: string): Promise<string> =>
  withNamed(browser, 'input, textarea', name, async (field) => (await field.getAttribute('value')) ?? '');

/** Opens a drop-down by its label; where the page moved under the pointer and the press went beside it, with another one. */
export async function openList(browser: Browser, label: string): Promise<void> {
  const opens = () =>
    withNamed(browser, 'mat-select', label, async (list) => (await list.getAttribute('aria-expanded')) === 'true');
  const openSoon = async (): Promise<boolean> => {
    const until = Date.now() + 3000;
    while (Date.now() < until) if (await opens()) return true;
    return false;
  };
  await browser.wait(
    async () => {
      if (await opens()) return true;
      await press(browser, label, 'mat-select');
      return openSoon();
    },
    PATIENCE,
    `the list “${label}” never opens`,
  );
}

/** Takes an option of a drop-down by its words. */
export async function choose(browser: Browser, label: string, option: string): Promise<void> {
  await openList(browser, label);
  await press(browser, option, 'mat-option');
  await browser.wait(
    async () => (await browser.findElements(By.css('.mat-mdc-select-panel'))).length === 0,
    PATIENCE,
    'the list never closes',
  );
}

/** Finds a jar in the open finder by typing, and takes it. */
export async function takeJar(browser: Browser, name: string): Promise<void> {
  await withNamed(browser, 'au-jar-finder input', 'Find a jar', (field) => field.sendKeys(Key.chord(Key.CONTROL, 'a'), name));
  await withNamed(browser, 'au-jar-finder .jar', new RegExp(`^${name}`), (jar) => jar.click());
  await browser.wait(
    async () => (await browser.findElements(By.css('au-jar-finder'))).length === 0,
    PATIENCE,
    'the finder never closes',
  );
}

/** Opens an area in the list of the areas stage. */
export async function openArea(browser: Browser, name: string): Promise<void> {
  await browser.wait(
    () =>
      browser.executeScript<boolean>(
        'const row = [...document.querySelectorAll("au-areas-stage li .row")].find((one) => one.querySelector("b").innerText === arguments[0]); if (!row) return false; if (row.getAttribute("aria-expanded") !== "true") row.click(); return row.getAttribute("aria-expanded") === "true"',
        name,
      ),
    PATIENCE,
    `no area ${name} to open`,
  );
}

/** Takes the entry of an open menu that starts with a text. */
export async function menuItem(browser: Browser, text: string): Promise<void> {
  await browser.wait(
    async () => {
      try {
        for (const item of await browser.findElements(By.css('[mat-menu-item]')))
          if ((await item.getText()).startsWith(text)) return await item.click().then(() => true);
        return false;
      } catch (error) {
        return laterPerhaps(error);
      }
    },
    PATIENCE,
    `no ${text} in the menu`,
  );
  // A menu that closes gives the focus back: keys pressed before would go astray.
  await browser.wait(
    async () => (await browser.findElements(By.css('.mat-mdc-menu-panel'))).length === 0,
    PATIENCE,
    'the menu never closes',
  );
}

/** Types over whatever a field holds and leaves it. */
export async function type(browser: Browser, name: string, text: string): Promise<void> {
  await withNamed(browser, 'input, textarea', name, async (field) => {
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), text);
    await browser.executeScript('arguments[0].blur();', field);
  });
}

/** Waits until the page says something. */
export async function reads(browser: Browser, text: string | RegExp, css = 'body'): Promise<void> {
  await browser.wait(
    async () => {
      const shown = await browser.executeScript<string>(
        'return [...document.querySelectorAll(arguments[0])].map((e) => e.innerText).join("\\n")',
        css,
      );
      // A space that no line breaks at reads like any other.
      const read = shown.replaceAll('\u00a0', ' ');
      return typeof text === 'string' ? read.includes(text) : text.test(read);
    },
    PATIENCE,
    `the page never says ${text}`,
  );
}

/** Waits until every picture of flakes is painted, and every one that came ready-made is here. */
export async function painted(
  browser: Browser,
  css = 'au-cup-view canvas, au-cup-figure canvas, au-swatch canvas',
): Promise<void> {
  await browser.wait(
    () =>
      browser.executeScript<boolean>(
        'const all = [...document.querySelectorAll(arguments[0])]; const made = [...document.querySelectorAll(".cups img")]; return all.length + made.length > 0 && all.every((c) => c.dataset.painted) && made.every((i) => i.complete && i.naturalWidth > 0) && !document.querySelector(".busy, .label .says:not(.clean):not(.look):not(.stop):not(.open)")',
        css,
      ),
    PATIENCE * 2,
    'the flakes never settle',
  );
}

/** Waits until the open design is kept. */
export async function kept(browser: Browser): Promise<void> {
  // What was just typed shows as “keeping” only once the page has drawn it.
  await browser.executeAsyncScript('const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(done))');
  await reads(browser, /revision \d+, kept \d/, '.saved');
}

export async function picture(browser: Browser, file: string): Promise<void> {
  writeFileSync(file, await browser.takeScreenshot(), 'base64');
}
