import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { reads, type Browser } from '../e2e/src/browser';
import type { Program } from '../e2e/src/program';
import type { Row } from './measure';

const SCREENS = join(import.meta.dirname, '..', 'web', 'dist', 'browser');
const text = (name: string): string => readFileSync(join(SCREENS, name), 'utf8');
const packed = (name: string): number => statSync(join(SCREENS, `${name}.gz`)).size;

/** A script with everything it needs before it can run. */
function needs(name: string, known = new Set<string>()): ReadonlySet<string> {
  if (known.has(name)) return known;
  known.add(name);
  for (const [, other] of text(name).matchAll(/(?:from|import)\s*"\.\/([\w-]+\.js)"/g)) needs(other, known);
  return known;
}

const kB = (names: Iterable<string>): number => [...names].reduce((sum, name) => sum + packed(name), 0) / 1000;

/** The script that a route fetches, by the name of what it shows; as the built program names them. */
const scripts = (): ReadonlyMap<string, string> =>
  new Map(
    readdirSync(SCREENS)
      .filter((name) => name.startsWith('main-'))
      .flatMap((name) => [...text(name).matchAll(/import\("\.\/([\w-]+\.js)"\)\.then\(\w+=>\w+\.(\w+)\)/g)])
      .map(([, script, shows]) => [shows, script] as const),
  );

const PLACES = { designs: 'DesignsPlace', shelf: 'ShelfPlace', 'shelf/palettes': 'PalettesPlace', cups: 'CupsPlace' } as const;
const STAGES = ['cup', 'areas', 'colour', 'coats', 'amounts', 'check', 'card'] as const;

/** What each place and each stage of a design loads at first, packed as the program sends it; fonts and pictures apart. */
export function loadRows(): readonly Row[] {
  const page = text('index.html');
  const styles = kB([...page.matchAll(/href="([\w-]+\.css)"/g)].map(([, name]) => name).slice(0, 1));
  const base = new Set([...page.matchAll(/src="([\w-]+\.js)"/g)].flatMap(([, name]) => [...needs(name)]));
  const routes = scripts();
  const load = (...shown: readonly string[]) => new Set([...base, ...shown.flatMap((one) => [...needs(routes.get(one) ?? one)])]);
  const workspace = kB(load('Workspace'));
  return [
    ...Object.entries(PLACES).map(([path, shows]) => ({
      what: `first load of ${path}: scripts and styles, packed as they are sent`,
      figure: `${(kB(load(shows)) + styles).toFixed(0)} kB`,
      aim: path === 'designs' ? '≤ 230 kB' : '–',
    })),
    ...STAGES.map((stage) => ({
      what: `a design opened at ${stage}: what its workspace loads, and the stage beside it`,
      figure: `${(workspace + styles).toFixed(0)} kB + ${(kB(load('Workspace', `${stage[0].toUpperCase()}${stage.slice(1)}Stage`)) - workspace).toFixed(0)} kB`,
      aim: '≤ 90 kB more',
    })),
  ];
}

const READY: readonly (readonly [string, string])[] = [
  ['/designs', 'all clear'],
  ['/designs/copper-eaves/cup', 'Which cup is it?'],
  ['/designs/copper-eaves/colour', 'By the eye'],
  ['/shelf', 'Penny Rain'],
];

/** ms from a press to what a maker came for, nothing of it kept by the browser: the median of five, and how far they swing. */
export async function readyRows(browser: Browser, program: Program): Promise<readonly Row[]> {
  const rows: Row[] = [];
  for (const [path, says] of READY) {
    const times: number[] = [];
    for (let round = 0; round < 5; round += 1) {
      await browser.get('about:blank');
      await browser.sendDevToolsCommand('Network.clearBrowserCache', {});
      const begun = performance.now();
      await browser.get(`${program.address}${path}`);
      await reads(browser, says);
      times.push(performance.now() - begun);
    }
    times.sort((a, b) => a - b);
    rows.push({
      what: `${path} from nothing to ready, on loopback`,
      figure: `${times[2].toFixed(0)} ms (${times[0].toFixed(0)}–${times[4].toFixed(0)})`,
      aim: '–',
    });
  }
  return rows;
}
