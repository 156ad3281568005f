import { openBrowser, PATIENCE, type Browser } from './browser';
import { Program } from './program';

/** The program and the browser of a file of tests, there once its tests begin. */
export let program: Program;
export let browser: Browser;

/**
 * Starts the program and a browser for all tests of a file, and ends both.
 * @param demo false for an empty workshop
 * @param graphics false where the solid cup isn't the matter: drawing it by the processor takes most of the time
 */
export function programForAll({
  demo = true,
  graphics = true,
}: { readonly demo?: boolean; readonly graphics?: boolean } = {}): void {
  beforeAll(async () => {
    program = new Program(demo);
    await program.start();
    browser = await openBrowser(graphics);
  });
  afterAll(async () => {
    // What never began has nothing to end.
    await (browser as Browser | undefined)?.quit();
    await (program as Program | undefined)?.end();
  });
}

/** A place with next to nothing on it: on the way through it everything that was open is left, and nothing of it stays. */
const THROUGH = '/log';

/**
 * Goes to a page the way a link does: the program in the browser stays, where it was begun already, and the place is built anew.
 * Half of what a page costs is to begin the program, which most tests have nothing to say about. Not for what a reload is about.
 */
export async function visit(path: string): Promise<void> {
  const here = await browser.getCurrentUrl();
  if (!here.startsWith(program.address)) return browser.get(`${program.address}${path}`);
  const linkTo = (to: string) =>
    browser.executeScript(
      'history.pushState(null, "", arguments[0]); dispatchEvent(new PopStateEvent("popstate", { state: null }))',
      to,
    );
  await linkTo(THROUGH);
  const left =
    'return document.querySelectorAll("main > :not(router-outlet)").length === 1 && !!document.querySelector("au-logbook-place")';
  await browser.wait(() => browser.executeScript<boolean>(left), PATIENCE, 'what was open is never left');
  await linkTo(path);
}
