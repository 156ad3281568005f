import { openBrowser, type Browser } from './browser';
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
