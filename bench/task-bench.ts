import { openBrowser, painted, reads, see, type Browser } from '../e2e/src/browser';
import { Program } from '../e2e/src/program';
import type { Row } from './measure';

/** Beyond this a maker feels a hitch, ms. */
const HITCH = 50;
const ARROWS = { up: '\uE013', down: '\uE015', left: '\uE012', right: '\uE014' };

interface Doing {
  readonly what: string;
  /** whether the solid cup is drawn, here by the processor; what it takes to draw is the machine's affair, so it is left out where it can be */
  readonly solid: boolean;
  /** brings the page to where it begins */
  readonly ready: (browser: Browser, program: Program) => Promise<void>;
  readonly act: (browser: Browser, program: Program) => Promise<void>;
}

/** Thirty presses of a key, every third the other way. */
const pressing =
  (css: string, [on, back]: readonly [string, string]): Doing['act'] =>
  async (browser) => {
    const element = await see(browser, css);
    for (let step = 0; step < 30; step += 1) await element.sendKeys(step % 3 === 2 ? back : on);
  };

const opened =
  (stage: string, says: string): Doing['ready'] =>
  async (browser, { address }) => {
    await browser.get(`${address}/designs/copper-eaves/${stage}`);
    await reads(browser, says);
  };
const atColour = opened('colour', 'By the eye');

const doings: readonly Doing[] = [
  {
    what: 'typing an amount 30 steps up and down, no graphics card',
    solid: false,
    ready: atColour,
    act: pressing('au-stepper input', [ARROWS.up, ARROWS.down]),
  },
  {
    what: 'moving an edge 30 steps, no graphics card',
    solid: false,
    ready: opened('areas', 'cm²'),
    act: pressing('au-wrap-view [role=slider]', [ARROWS.up, ARROWS.down]),
  },
  {
    what: 'going home from a design, no graphics card',
    solid: false,
    ready: atColour,
    act: async (browser) => {
      await browser.executeScript('document.querySelector(\'a[href="/"], a[href="/designs"]\').click()');
      await reads(browser, 'Peat Fire');
    },
  },
  {
    what: 'turning the cup 30 steps, drawn by the processor',
    solid: true,
    ready: atColour,
    act: pressing('au-cup-view [tabindex="0"]', [ARROWS.right, ARROWS.left]),
  },
];

/** The longest task on the page's own thread while a maker works, in five runs each. */
export async function taskRows(program: Program): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (const doing of doings) {
    const browser = await openBrowser(doing.solid, true);
    try {
      rows.push(await taskRow(browser, program, doing));
    } finally {
      await browser.quit();
    }
  }
  return rows;
}

async function taskRow(browser: Browser, program: Program, { what, ready, act }: Doing): Promise<Row> {
  const longest: number[] = [];
  for (let run = 0; run < 5; run += 1) {
    await ready(browser, program);
    await painted(browser);
    await browser.executeScript(
      'window.tasks = [0]; new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map((entry) => entry.duration))).observe({ type: "longtask" })',
    );
    await act(browser, program);
    await painted(browser);
    longest.push(await browser.executeScript<number>('return Math.max(...window.tasks)'));
  }
  const smooth = longest.filter((ms) => ms < HITCH).length;
  return {
    what: `runs of five without a task over ${HITCH} ms on the page’s thread: ${what}`,
    figure: smooth === 5 ? '5 of 5' : `${smooth} of 5; ${longest.map((ms) => ms.toFixed(0)).join(', ')} ms`,
    aim: '5 of 5',
  };
}
