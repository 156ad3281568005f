import { openBrowser, painted, reads, type Browser } from '../e2e/src/browser';
import { Program } from '../e2e/src/program';
import { readyRows } from './load-bench';
import { share, type Row } from './measure';
import { saveRows } from './save-bench';
import { taskRows } from './task-bench';
import { timersRow } from './timers-bench';
import { weekPageRow } from './week-page-bench';

/** What it takes while an edge is dragged on a curved cup with 200 motifs, and how many frames come meanwhile. */
async function dragging(browser: Browser, program: Program): Promise<Row> {
  const url = `${program.address}/api/designs/thistle-weave`;
  const { revision, document } = (await (await fetch(url)).json()) as { revision: number; document: { areas: object[] } };
  const motifs = {
    kind: 'scatter',
    id: 'many',
    name: 'Many',
    outline: { shape: 'star' },
    width: 5,
    count: 200,
    seed: 3,
    clearance: 1,
    turn: 'any',
    lower: { by: 'foot', mm: 0 },
    upper: { by: 'rim', mm: 0 },
  };
  const body = JSON.stringify({ parent: revision, document: { ...document, areas: [...document.areas, motifs] } });
  await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
  await browser.get(`${program.address}/designs/thistle-weave/areas`);
  await reads(browser, '200 × star');
  await painted(browser);
  await browser.executeScript('[...document.querySelectorAll("li .row")].at(-1).click()');
  await reads(browser, 'Keep clear');
  await painted(browser);
  // The cup turns to the chosen area first; only once it stands still is a drag measured.
  await browser.executeAsyncScript(
    'const done = arguments[0]; let before = null; let still = 0; const look = () => { const now = [...document.querySelectorAll("au-cup-view .handle")].map((knob) => knob.getAttribute("style")).join(); still = now === before ? still + 1 : 0; before = now; if (still < 40) requestAnimationFrame(look); else done(); }; look()',
  );
  // The pointer moves once a frame, as a hand does. The profiler tells the page's own script from the
  // browser's drawing, which without a graphics card is most of it.
  await browser.sendDevToolsCommand('Profiler.enable', {});
  await browser.sendDevToolsCommand('Profiler.start', {});
  const { steps, frames } = await browser.executeAsyncScript<{ steps: number[]; frames: number[] }>(`
    const done = arguments[0];
    const knob = document.querySelector('au-wrap-view [role=slider][aria-label^="Upper end"]');
    const box = knob.querySelector('.knob').getBoundingClientRect();
    const at = (type, y) => knob.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, clientX: box.x + 7, clientY: y }));
    knob.setPointerCapture = () => {};
    const steps = [];
    const frames = [];
    let last = null;
    const begun = performance.now();
    at('pointerdown', box.y + 7);
    const step = () => {
      const start = performance.now();
      if (last !== null) frames.push(start - last);
      last = start;
      at('pointermove', box.y + 7 + 40 * Math.abs(Math.sin(steps.length / 12)));
      setTimeout(() => {
        steps.push(performance.now() - start);
        if (steps.length < 180 && performance.now() - begun < 20000) requestAnimationFrame(step);
        else { at('pointerup', box.y + 20); done({ steps, frames }); }
      }, 0);
    };
    requestAnimationFrame(step);
  `);
  const { profile } = (await browser.sendAndGetDevToolsCommand('Profiler.stop', {})) as unknown as { profile: Profile };
  const native = new Set(
    profile.nodes.filter(({ callFrame }) => /^\((idle|program|root)\)$/.test(callFrame.functionName)).map(({ id }) => id),
  );
  const script = profile.samples.reduce((sum, id, i) => sum + (native.has(id) ? 0 : profile.timeDeltas[i]), 0) / 1000;
  const frame = 1000 / 60;
  const percent = (ms: number) => `${((100 * ms) / frame).toFixed(0)} %`;
  return {
    what: 'an end of 200 motifs dragged on a curved cup, no graphics card, share of a frame at 60 a second: the page’s own script on average; all of a step, drawing too, at the median and the 95th percentile',
    figure: `${percent(script / steps.length)}; ${percent(share(steps, 0.5))} and ${percent(share(steps, 0.95))}; the median frame comes at ${(1000 / share(frames, 0.5)).toFixed(0)} a second`,
    aim: 'under 100 %',
  };
}

/** Software drawing of a solid cup would measure the software; the flat cup is what such a machine shows anyway. */
async function withoutGraphics(program: Program): Promise<Row> {
  const browser = await openBrowser(false);
  try {
    return await dragging(browser, program);
  } finally {
    await browser.quit();
  }
}

/** What the browser's profiler gives: samples of nodes, µs apart. */
interface Profile {
  readonly nodes: readonly { readonly id: number; readonly callFrame: { readonly functionName: string } }[];
  readonly samples: readonly number[];
  readonly timeDeltas: readonly number[];
}

export async function programRows(): Promise<readonly Row[]> {
  const program = new Program(true);
  await program.start();
  const browser = await openBrowser();
  try {
    return [
      ...(await saveRows(program)),
      ...(await readyRows(browser, program)),
      ...(await taskRows(program)),
      await withoutGraphics(program),
      await weekPageRow(),
      await timersRow(),
    ];
  } finally {
    await browser.quit();
    await program.end();
  }
}
