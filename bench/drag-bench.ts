import { openBrowser, painted, press, reads, type Browser } from '../e2e/src/browser';
import type { Program } from '../e2e/src/program';
import { share, type Row } from './measure';

/** What is dragged, on a page of its own. */
interface Drag {
  readonly what: string;
  /** brings the page to where it begins */
  readonly ready: (browser: Browser, program: Program) => Promise<void>;
  /** what the hand takes hold of, or has it in it */
  readonly knob: string;
  /** which way it is drawn, and how far at the most, css pixels */
  readonly way: readonly [across: number, down: number];
}

const STEPS = 180;
const FRAME = 1000 / 60;

const drags: readonly Drag[] = [
  {
    what: 'a stop of a fade of seven pots',
    ready: async (browser, { address }) => {
      await browser.get(`${address}/designs/apiary-noon/colour`);
      await painted(browser);
      await press(browser, /^Noon /, '[role=option]');
      await reads(browser, 'Back to one blend', 'au-fade-pane');
    },
    knob: 'au-fade-bars [role=slider]:nth-of-type(2)',
    way: [60, 0],
  },
  {
    what: 'an edge between two areas of a tapered cup',
    ready: async (browser, { address }) => {
      await browser.get(`${address}/designs/copper-eaves/areas`);
      await reads(browser, 'Upper edge');
    },
    knob: 'au-wrap-view [role=slider][aria-label^="Upper edge"]',
    way: [0, 40],
  },
  {
    what: 'an end of 200 motifs on a curved cup',
    ready: motifs,
    knob: 'au-wrap-view [role=slider][aria-label^="Upper end"]',
    way: [0, 40],
  },
];

/** A cup full of stars, scattered anew at every step. */
async function motifs(browser: Browser, program: Program): Promise<void> {
  const url = `${program.address}/api/designs/thistle-weave`;
  const { revision, document } = (await (await fetch(url)).json()) as { revision: number; document: { areas: object[] } };
  const stars = {
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
  const body = JSON.stringify({ parent: revision, document: { ...document, areas: [...document.areas, stars] } });
  await fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body });
  await browser.get(`${program.address}/designs/thistle-weave/areas`);
  await reads(browser, '200 × star');
  await painted(browser);
  await browser.executeScript('[...document.querySelectorAll("li .row")].at(-1).click()');
  await reads(browser, 'Keep clear');
}

/**
 * What a step of each drag takes, and how many frames come meanwhile, without a graphics card: software drawing of a solid cup
 * would measure the software, and the flat cup is what such a machine shows anyway.
 */
export async function dragRows(program: Program): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (const drag of drags) {
    const browser = await openBrowser(false, true);
    try {
      await drag.ready(browser, program);
      await painted(browser);
      rows.push(await dragRow(browser, drag));
    } finally {
      await browser.quit();
    }
  }
  return rows;
}

async function dragRow(browser: Browser, { what, knob, way }: Drag): Promise<Row> {
  // The cup turns to the chosen area first; only once it stands still is a drag measured.
  await browser.executeAsyncScript(
    'const done = arguments[0]; let before = null; let still = 0; const look = () => { const now = [...document.querySelectorAll("au-cup-view .handle")].map((knob) => knob.getAttribute("style")).join(); still = now === before ? still + 1 : 0; before = now; if (still < 40) requestAnimationFrame(look); else done(); }; look()',
  );
  const { steps, frames } = await stepped(browser, knob, way);
  // Again, watched: the profiler tells the page's own script from the browser's drawing, and slows both.
  await browser.sendDevToolsCommand('Profiler.enable', {});
  await browser.sendDevToolsCommand('Profiler.start', {});
  const watched = await stepped(browser, knob, way);
  const { profile } = (await browser.sendAndGetDevToolsCommand('Profiler.stop', {})) as unknown as { profile: Profile };
  const native = new Set(
    profile.nodes.filter(({ callFrame }) => /^\((idle|program|root)\)$/.test(callFrame.functionName)).map(({ id }) => id),
  );
  const script = profile.samples.reduce((sum, id, i) => sum + (native.has(id) ? 0 : profile.timeDeltas[i]), 0) / 1000;
  const percent = (ms: number) => `${((100 * ms) / FRAME).toFixed(0)} %`;
  return {
    what: `dragged, no graphics card: ${what}; share of a frame at 60 a second: the page’s own script on average, watched, which slows it; all of a step, drawing too, at the median and the 95th percentile, unwatched`,
    figure: `${percent(script / watched.steps.length)}; ${percent(share(steps, 0.5))} and ${percent(share(steps, 0.95))}; the median frame comes at ${(1000 / share(frames, 0.5)).toFixed(0)} a second`,
    aim: 'under 100 %',
  };
}

/** ms that each step took until all it brought was drawn, and between two of them. */
interface Stepped {
  readonly steps: readonly number[];
  readonly frames: readonly number[];
}

/** Draws it to and fro, and back to where it was; the pointer moves once a frame, as a hand does. */
function stepped(browser: Browser, knob: string, way: Drag['way']): Promise<Stepped> {
  return browser.executeAsyncScript<Stepped>(
    `
    const [knobs, [across, down], count, done] = arguments;
    const knob = document.querySelector(knobs);
    const box = (knob.querySelector('.knob') ?? knob).getBoundingClientRect();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    const at = (type, share) =>
      knob.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, buttons: 1, clientX: x + across * share, clientY: y + down * share }));
    knob.setPointerCapture = () => {};
    knob.hasPointerCapture = () => true;
    const steps = [];
    const frames = [];
    let last = null;
    const begun = performance.now();
    at('pointerdown', 0);
    const step = () => {
      const start = performance.now();
      if (last !== null) frames.push(start - last);
      last = start;
      at('pointermove', Math.abs(Math.sin(steps.length / 12)));
      setTimeout(() => {
        steps.push(performance.now() - start);
        if (steps.length < count && performance.now() - begun < 20000) requestAnimationFrame(step);
        else { at('pointermove', 0); at('pointerup', 0); done({ steps, frames }); }
      }, 0);
    };
    requestAnimationFrame(step);
  `,
    knob,
    way,
    STEPS,
  );
}

/** What the browser's profiler gives: samples of nodes, µs apart. */
interface Profile {
  readonly nodes: readonly { readonly id: number; readonly callFrame: { readonly functionName: string } }[];
  readonly samples: readonly number[];
  readonly timeDeltas: readonly number[];
}
