import type { Settings } from '@aurantia/core';
import type { Make } from '@aurantia/core/make';
import { v7 } from 'uuid';
import { openBrowser, reads, type Browser } from '../e2e/src/browser';
import { Program } from '../e2e/src/program';
import { share, type Row } from './measure';

const DESIGNS = ['copper-eaves', 'apiary-noon', 'orchard-frost', 'peat-fire', 'slate-and-saffron'];
const TIMERS = 10;
/** How long a page is left alone, ms. */
const ALONE = 10_000;
/** The least that a page can do which shows seconds at all. */
const ONE_FIGURE = `data:text/html,${encodeURIComponent('<!doctype html><p id=a>0<script>let i=0;setInterval(()=>{a.firstChild.data=String(++i)},1000)</script>')}`;

/** A make whose coats are on up to the first that is waited for: its timer runs. @returns its id */
async function resting(program: Program, design: string): Promise<string> {
  const { make } = await program.send<{ make: Make }>('POST', 'makes', { id: v7(), design });
  let after = 0;
  for (const { coat, wait } of make.steps) {
    for (const what of ['begun', 'done']) {
      await program.send('POST', `makes/${make.id}/entries`, { after, entry: { id: v7(), what, coat } });
      after += 1;
    }
    if (wait.minutes >= 20) break;
  }
  return make.id;
}

/** What a page's own thread does of a second while nobody touches it, ms. */
async function busy(browser: Browser): Promise<number> {
  await browser.sendDevToolsCommand('Performance.enable', {});
  const worked = async () => {
    const { metrics } = (await browser.sendAndGetDevToolsCommand('Performance.getMetrics', {})) as unknown as {
      metrics: { name: string; value: number }[];
    };
    return metrics.find(({ name }) => name === 'TaskDuration')?.value ?? NaN;
  };
  const before = await worked();
  await new Promise((resolve) => setTimeout(resolve, ALONE));
  return (1000 * (await worked()) - 1000 * before) / (ALONE / 1000);
}

/** Takes scale, sensor and turner away: they speak several times a second, whether anything is timed or not. */
async function withoutDevices(program: Program): Promise<void> {
  const reply = await fetch(`${program.address}/api/workshop`);
  const { document, revision } = (await reply.json()) as { document: Settings; revision: number };
  await program.send('PUT', 'workshop', { parent: revision, document: { ...document, devices: {} } });
}

/** Ten timers that run at the bench, beside a page with nothing on it, by turns. */
export async function timersRow(): Promise<Row> {
  const program = new Program(true);
  await program.start();
  const browser = await openBrowser(false, true);
  try {
    const makes: string[] = [];
    for (let i = 0; i < TIMERS; i += 1) makes.push(await resting(program, DESIGNS[i % DESIGNS.length]));
    const [timers, one, empty]: [number[], number[], number[]] = [[], [], []];
    const atTheBench = async () => {
      await browser.get(`${program.address}/bench/${makes[0]}`);
      await reads(browser, 'Coat');
      // What an opening page still has to do is over.
      await new Promise((resolve) => setTimeout(resolve, 3000));
      return busy(browser);
    };
    const devices = await atTheBench();
    await withoutDevices(program);
    for (let round = 0; round < 5; round += 1) {
      timers.push(await atTheBench());
      await browser.get(ONE_FIGURE);
      one.push(await busy(browser));
      await browser.get('about:blank');
      empty.push(await busy(browser));
    }
    const told = (all: readonly number[]) =>
      `${share(all, 0.5).toFixed(1)} (${Math.min(...all).toFixed(1)}–${Math.max(...all).toFixed(1)})`;
    return {
      what: 'Ten timers that run at the bench: what the page’s own thread does of a second, beside a page that is one figure which changes each second, and beside an empty page, five times each; once more with a scale, a sensor and a turner that speak',
      figure: `${told(timers)} ms, ${told(one)} ms, ${told(empty)} ms; ${devices.toFixed(1)} ms`,
      aim: 'not to be told apart',
    };
  } finally {
    await browser.quit();
    await program.end();
  }
}
