import { closeSync, fsyncSync, openSync, readFileSync, readdirSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { openBrowser, painted, reads, type Browser } from '../e2e/src/browser';
import { Program } from '../e2e/src/program';
import { medianOfAsync, type Row } from './measure';

const SCREENS = join(import.meta.dirname, '..', 'web', 'dist', 'browser');

/** A save over the wire into SQLite, against the same bytes written and synced to a plain file. */
async function save(program: Program): Promise<Row> {
  const url = `${program.address}/api/designs/peat-fire`;
  let { revision, document } = (await (await fetch(url)).json()) as { revision: number; document: { name: string } };
  const kept = await medianOfAsync(25, async (round) => {
    document = { ...document, name: `Peat Fire ${round}` };
    const body = JSON.stringify({ parent: revision, document });
    ({ revision } = (await (
      await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body })
    ).json()) as { revision: number });
  });
  const text = JSON.stringify(document);
  const plain = await medianOfAsync(25, async () => {
    const handle = openSync(join(program.folder, 'plain.json'), 'w');
    writeSync(handle, text);
    fsyncSync(handle);
    closeSync(handle);
  });
  return {
    what: 'save round trip against a plain synced write of the same bytes',
    figure: `${(kept / plain).toFixed(1)} ×`,
    aim: '–',
  };
}

/** What the first page really loads, compressed as a web server would. */
async function firstLoad(browser: Browser, program: Program): Promise<readonly Row[]> {
  await browser.get(`${program.address}/designs`);
  await painted(browser);
  const loaded = await browser.executeScript<string[]>(
    'return performance.getEntriesByType("resource").map((entry) => new URL(entry.name).pathname)',
  );
  const packed = (name: string) => gzipSync(readFileSync(join(SCREENS, name)), { level: 9 }).length;
  const files = [...new Set(loaded)]
    .filter((path) => /\.(js|css|woff2)$/.test(path))
    .map((path) => ({ path, size: packed(path) }));
  const kB = (wanted: RegExp) =>
    `${(files.filter(({ path }) => wanted.test(path)).reduce((sum, { size }) => sum + size, 0) / 1000).toFixed(0)} kB`;
  const worker = readdirSync(SCREENS).find((name) => name.startsWith('worker-')) ?? '';
  const page = files
    .filter(({ path }) => /\.(js|css)$/.test(path) && !path.includes(worker))
    .reduce((sum, { size }) => sum + size, 0);
  return [
    {
      what: 'first load, scripts and styles, compressed, without three.js',
      figure: `${(page / 1000).toFixed(0)} kB`,
      aim: '≤ 250 kB',
    },
    {
      what: 'beside it: the flake worker, and both fonts',
      figure: `${(packed(worker) / 1000).toFixed(0)} kB, ${kB(/woff2$/)}`,
      aim: '–',
    },
  ];
}

/** The longest task on the page's own thread while an amount is typed up and down. */
async function typing(browser: Browser, program: Program): Promise<Row> {
  await browser.get(`${program.address}/designs/copper-eaves/colour`);
  await reads(browser, 'By the eye');
  await painted(browser);
  await browser.executeScript(
    'window.tasks = [0]; new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map((entry) => entry.duration))).observe({ type: "longtask" })',
  );
  const field = await browser.findElement({ css: 'au-stepper input' });
  for (let step = 0; step < 30; step += 1) await field.sendKeys(step % 3 === 2 ? '\uE015' : '\uE013');
  await painted(browser);
  const longest = await browser.executeScript<number>('return Math.max(...window.tasks)');
  return {
    what: 'longest task on the page’s thread while typing 30 steps',
    figure: longest < 50 ? 'under 50 ms' : `${longest.toFixed(0)} ms`,
    aim: 'none over 50 ms',
  };
}

export async function programRows(): Promise<readonly Row[]> {
  const program = new Program(true);
  await program.start();
  const browser = await openBrowser();
  try {
    return [await save(program), ...(await firstLoad(browser, program)), await typing(browser, program)];
  } finally {
    await browser.quit();
    await program.end();
  }
}
