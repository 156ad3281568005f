import type { WeekBook } from '@aurantia/core/week';
import { openBrowser, press, reads, type Browser } from '../e2e/src/browser';
import { Program } from '../e2e/src/program';
import { share, type Row } from './measure';

const NAMES = ['Copper Eaves', 'Apiary Noon', 'Orchard Frost', 'Peat Fire', 'Slate & Saffron'];
/** Orders beside the demo’s five. */
const MORE = 15;

/** How long the page’s own thread was held in one piece since it was last asked, ms: two turns of a loop that does nothing lie as far apart. */
const WATCH = `
  window.held = 0;
  let last = performance.now();
  const channel = new MessageChannel();
  channel.port1.onmessage = () => {
    const now = performance.now();
    window.held = Math.max(window.held, now - last);
    last = now;
    channel.port2.postMessage(0);
  };
  channel.port2.postMessage(0);`;
const heldMost = (browser: Browser): Promise<number> =>
  browser.executeScript('const most = window.held; window.held = 0; return most;');

/** The week of twenty orders: how long the page is held while a step is pinned and the plan follows. */
export async function weekPageRow(): Promise<Row> {
  const program = new Program(true);
  await program.start();
  const browser = await openBrowser(false);
  try {
    const lines = Array.from({ length: MORE }, (_, at) => `Guest ${at + 1};${NAMES[at % NAMES.length]};1;`);
    await program.send('POST', 'orders/table', { text: ['who;design;cups;due', ...lines].join('\n') });
    await browser.get(`${program.address}/week`);
    await reads(browser, 'is cured through');
    await reads(browser, 'Plan anew', '.head');
    await press(browser, 'All of it', 'mat-button-toggle button');
    await browser.executeScript(WATCH);
    const pins = async () =>
      ((await (await fetch(`${program.address}/api/week?zone=UTC`)).json()) as { book: Pick<WeekBook, 'pins'> }).book.pins.length;
    const held: number[] = [];
    for (let run = 1; run <= 5; run += 1) {
      await browser.executeScript(
        'document.querySelector(`au-board li:nth-child(${arguments[0]}) button.hands`).click()',
        1 + 3 * run,
      );
      await reads(browser, 'Pin it there', 'au-step-panel');
      await heldMost(browser);
      await press(browser, 'Pin it there', 'au-step-panel button');
      await browser.wait(async () => (await pins()) === run, 60_000, 'no pin is kept');
      await reads(browser, 'Plan anew', '.head');
      held.push(await heldMost(browser));
    }
    return {
      what: 'The week of 20 orders: longest that the page is held while a step is pinned and the plan follows, five pins, median and worst, no graphics card',
      figure: `${share(held, 0.5).toFixed(0)} ms, ${Math.max(...held).toFixed(0)} ms`,
      aim: '≤ 17 ms',
    };
  } finally {
    await browser.quit();
    await program.end();
  }
}
