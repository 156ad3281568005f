import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { PATIENCE, type Browser } from './browser';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * What axe finds wrong with the page as it stands, once it has come to rest: a rule and where it is broken.
 * @param rules those alone; null for all
 */
export async function violations(browser: Browser, rules: readonly string[] | null = null): Promise<readonly string[]> {
  // A dialog that is still fading in, or hasn't begun to, has half its contrast or none; a notice is hidden from readers for
  // the blink before it is read out.
  await browser.wait(
    () =>
      browser.executeScript(
        'return document.getAnimations().every((one) => one.playState !== "running") && document.querySelector("mat-snack-bar-container [aria-hidden=true] button") === null && [...document.querySelectorAll("mat-dialog-container")].every((dialog) => dialog.classList.contains("mdc-dialog--open") && [...dialog.querySelectorAll(".mat-mdc-dialog-inner-container")].every((inner) => getComputedStyle(inner).opacity === "1"))',
      ),
    PATIENCE,
    'the page never comes to rest',
  );
  // As a program of the driver's, not of the page's: the page's own policy would refuse it. Once for each page that is opened.
  if (!(await browser.executeScript<boolean>('return "axe" in window')))
    await browser.sendDevToolsCommand('Runtime.evaluate', { expression: axe });
  return browser.executeAsyncScript<string[]>(RUN_AXE, rules);
}

/** What is written in the very colour it lies on axe leaves undecided, for it might be meant not to be seen: here nothing is. */
const RUN_AXE = `
  const [rules, done] = arguments;
  const told = ({ id, nodes }) => id + ': ' + nodes.map(({ target }) => target.join(' ')).join(', ');
  const unseen = ({ any }) => any.some(({ data }) => data?.messageKey === 'equalRatio');
  axe.run(document, { resultTypes: ['violations', 'incomplete'], ...(rules ? { runOnly: rules } : {}) }).then(({ violations, incomplete }) => {
    const lost = incomplete.map(({ id, nodes }) => ({ id, nodes: nodes.filter(unseen) })).filter(({ nodes }) => nodes.length > 0);
    done([...violations, ...lost].map(told));
  });
`;

/** How far the page, or a pane of it that can be scrolled, reaches over the side, px. */
export const tooWide = async (browser: Browser): Promise<number> =>
  Math.max(
    ...(await browser.executeScript<number[]>(
      'return [document.documentElement, ...document.querySelectorAll("main, .work, .stage, .cdk-virtual-scrollable")].map((one) => one.scrollWidth - one.clientWidth)',
    )),
  );
/** What is pressed on the page and smaller than a finger, by what it says. Words within a sentence, what is unseen, and a step on the board, which has its own line below, aside. */
export const tooSmall = (browser: Browser): Promise<string[]> =>
  browser.executeScript<string[]>(
    `const pressed = [...document.querySelectorAll('button, a, [role=tab], [role=option], [role=switch], mat-select, input:not([type=file]):not([type=color])')];
     return pressed.filter((one) => {
       const { width, height } = (one.closest('.mat-mdc-form-field, mat-checkbox, mat-slide-toggle, mat-chip-option') ?? one).getBoundingClientRect();
       const inline = getComputedStyle(one).display === 'inline' || one.closest('.skip, .unseen, .label') || one.matches('.cup:not(:has(img)), au-board .hands');
       return !inline && width > 1 && height > 1 && (width < 43.5 || height < 43.5);
     }).map((one) => \`\${one.tagName} \${one.className} \${(one.ariaLabel ?? one.textContent).trim().slice(0, 30)} \${Math.round(one.getBoundingClientRect().width)}x\${Math.round(one.getBoundingClientRect().height)}\`);`,
  );
