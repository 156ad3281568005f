import { press, reads } from './browser';
import { browser, program, visit } from './running';

/* A maker's way at the bench of the running program: from the card to it, and coat by coat. */

const title = () => browser.executeScript<string>('return document.querySelector("au-coat-work h2").innerText');

/** Begins the coat that is next, and says that it is on. */
export async function lay(number: number): Promise<void> {
  await reads(browser, `Coat ${number} of`, 'au-coat-work');
  await press(browser, /^Begin/, '.large');
  await press(browser, 'It is on', '.large');
  // Until the page says so, the program may not have heard of it, and whoever moves the clock on moves the coat with it.
  await reads(browser, new RegExp(`Coat ${number + 1} of|All coats are on`), 'au-coat-work');
}

/** Makes a design. @returns the address of its bench */
export async function make(design: string): Promise<string> {
  await visit(`/designs/${design}/card`);
  await reads(browser, 'Rest until cured through');
  await press(browser, 'Make it');
  await reads(browser, 'frozen as they are now', 'mat-dialog-container');
  await press(browser, /^To the bench/, 'mat-dialog-container button');
  await reads(browser, 'Coat 1 of', 'au-coat-work');
  return browser.getCurrentUrl();
}

/** Lays coats, ten hours between them, up to one whose title says so. @returns its number */
export async function upTo(says: RegExp, from = 1): Promise<number> {
  for (let number = from; ; number += 1) {
    await reads(browser, `Coat ${number} of`, 'au-coat-work');
    if (says.test(await title())) return number;
    await lay(number);
    await program.wait(600);
  }
}
