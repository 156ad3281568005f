import { openBrowser, type Browser } from './browser';
import { Program } from './program';

/**
 * Starts the demo and a browser for all tests of a file, hands them over, and ends both.
 * @param graphics false where the solid cup isn't the matter: drawing it by the processor takes most of the time
 */
export function demoForAll(take: (program: Program, browser: Browser) => void, graphics = true): void {
  let program: Program | null = null;
  let browser: Browser | null = null;
  beforeAll(async () => {
    program = new Program(true);
    await program.start();
    browser = await openBrowser(graphics);
    take(program, browser);
  });
  afterAll(async () => {
    await browser?.quit();
    await program?.end();
  });
}
