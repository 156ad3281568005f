import { buildSync } from 'esbuild';
import type { WebElement } from 'selenium-webdriver';
import type { Driver as Browser } from 'selenium-webdriver/chrome';

/** What an element must be besides named so: to be seen, or not barred (what takes a press may lie unseen over what is drawn). */
export type Ready = 'shown' | 'enabled';

/** Names as the standard computes them, for the page to be asked: one question finds an element, however many there are. */
const spoken = buildSync({
  stdin: { contents: 'export { computeAccessibleName as nameOf } from "dom-accessibility-api"', resolveDir: import.meta.dirname },
  bundle: true,
  minify: true,
  format: 'iife',
  globalName: 'spoken',
  write: false,
}).outputFiles[0].text;

/**
 * Run in the page: the first element of that name that is ready. Those that bear its text in any of the ways that name one are
 * looked at first, for working names out takes long on a page of hundreds of them.
 */
const FIND = `
  if (!window.spoken) return 'no names yet';
  const [css, name, source, flags, ready] = arguments;
  const text = new RegExp(source.replace(/^\\^/, ''), flags);
  const whole = new RegExp(source, flags);
  // A word that is explained has no name by the standard: it goes by its text.
  const fits = (one) => {
    const said = (spoken.nameOf(one) || one.textContent).replace(/\\s+/g, ' ').trim();
    return name === null ? whole.test(said) : said === name;
  };
  const bears = (one) =>
    [one.ariaLabel, one.textContent, ...[...(one.labels ?? [])].map((label) => label.textContent),
     ...(one.getAttribute('aria-labelledby') ?? '').split(' ').map((id) => document.getElementById(id)?.textContent)]
      .some((words) => words && text.test(words.replace(/\\s+/g, ' ')));
  const isReady = (one) =>
    ready === 'enabled' ? !one.disabled : one.checkVisibility({ opacityProperty: true, visibilityProperty: true });
  const all = [...document.querySelectorAll(css)].filter(isReady);
  const likely = all.filter(bears);
  return likely.find(fits) ?? all.find((one) => !likely.includes(one) && fits(one)) ?? null;
`;

/** The element of that name, if it is there now and can be had. */
export async function nowNamed(browser: Browser, css: string, name: string | RegExp, ready: Ready): Promise<WebElement | null> {
  const asked =
    typeof name === 'string' ? [name, name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'), ''] : [null, name.source, name.flags];
  const found = await browser.executeScript<WebElement | string | null>(FIND, css, ...asked, ready);
  if (typeof found !== 'string') return found;
  // As a program of the driver's, not of the page's: the page's own policy would refuse it. Once for each page that is opened.
  await browser.sendDevToolsCommand('Runtime.evaluate', { expression: spoken });
  return nowNamed(browser, css, name, ready);
}

/** What an element is called by the same reckoning, to be held beside what the browser itself says. */
export async function nameOf(browser: Browser, element: WebElement): Promise<string> {
  await browser.sendDevToolsCommand('Runtime.evaluate', { expression: spoken });
  return browser.executeScript<string>('return spoken.nameOf(arguments[0]).replace(/\\s+/g, " ").trim()', element);
}
