import { openBrowser, type Browser } from './browser';
import { Program } from './program';

/**
 * Starts the program and a browser for all tests of a file, hands them over, and ends both.
 * @param demo false for an empty workshop
 * @param graphics false where the solid cup isn't the matter: drawing it by the processor takes most of the time
 */
export function programForAll(
  take: (program: Program, browser: Browser) => void,
  { demo = true, graphics = true }: { readonly demo?: boolean; readonly graphics?: boolean } = {},
): void {
  let program: Program | null = null;
  let browser: Browser | null = null;
  beforeAll(async () => {
    program = new Program(demo);
    await program.start();
    browser = await openBrowser(graphics);
    take(program, browser);
  });
  afterAll(async () => {
    await browser?.quit();
    await program?.end();
  });
}
