import {
  deltaE2000,
  findMix,
  flakeRain,
  labOf,
  randomStream,
  reflectanceOf,
  typicalFlake,
  type Glitter,
  type MixQuestion,
  type SearchState,
} from '@aurantia/core';
import { share, type Row } from './measure';

const under = reflectanceOf('#2e3436');
const TOTAL = 12.5;
const STEP = 0.5;
const DEPTH = 2.5;

/** A shelf of jars in colours and cuts of their own, every so many a see-through one. */
function jarsOf(count: number, random: () => number, through = Infinity): MixQuestion['jars'] {
  return Array.from({ length: count }, (_, i) => {
    const cut = [0.2, 0.4, 0.6, 1][i % 4];
    const colour = `#${Math.floor(random() * 0xffffff)
      .toString(16)
      .padStart(6, '0')}`;
    const kind = i % through !== 0 ? 'solid' : i % (2 * through) === 0 ? 'opal' : 'tinted';
    const opacity = kind === 'solid' ? 1 : 0.25 + 0.5 * random();
    const glitter: Glitter = { colour, kind, opacity, cut, ...typicalFlake(cut) };
    return { glitter, left: null, keep: false };
  });
}

/** A colour that some four jars of the shelf really make, as a photographed cup would have. */
function madeColour(jars: MixQuestion['jars'], random: () => number): MixQuestion['target'] {
  const parts = [0, 1, 2, 3].map(() => ({ glitter: jars[Math.floor(random() * jars.length)].glitter, ml: 1 + random() * 4 }));
  return labOf(flakeRain(parts, DEPTH, under));
}

const question = (jars: MixQuestion['jars'], target: MixQuestion['target']): MixQuestion => ({
  target,
  jars,
  size: 3,
  total: TOTAL,
  step: STEP,
  depth: DEPTH,
  under,
  closeEnough: 0,
  closeShare: 0,
});

function searched(asked: MixQuestion, patience = Infinity): { ms: number; state: SearchState } {
  const begun = performance.now();
  const search = findMix(asked);
  for (;;) {
    const { value, done } = search.next();
    const ms = performance.now() - begun;
    if (done || ms > patience) return { ms, state: value };
  }
}

/** Every mix of exactly three jars, one after the other. */
function enumerated({ jars, target }: MixQuestion): { ms: number; tried: number; best: number } {
  const begun = performance.now();
  const steps = TOTAL / STEP;
  let tried = 0;
  let best = Infinity;
  for (let a = 0; a < jars.length; a += 1)
    for (let b = a + 1; b < jars.length; b += 1)
      for (let c = b + 1; c < jars.length; c += 1)
        for (let i = 1; i < steps - 1; i += 1)
          for (let j = 1; j < steps - i; j += 1) {
            const parts = [
              { glitter: jars[a].glitter, ml: i * STEP },
              { glitter: jars[b].glitter, ml: j * STEP },
              { glitter: jars[c].glitter, ml: (steps - i - j) * STEP },
            ];
            tried += 1;
            best = Math.min(best, deltaE2000(target, labOf(flakeRain(parts, DEPTH, under))));
          }
  return { ms: performance.now() - begun, tried, best };
}

const threes = (count: number): number => (count * (count - 1) * (count - 2)) / 6;

/** The proven best mix of three from 60 jars, against trying every one; the trying is timed on 12 jars and scaled up. */
export function matchRow(): Row {
  const random = randomStream(11);
  const small = jarsOf(12, random);
  const smallAsked = question(small, madeColour(small, random));
  const plain = enumerated(smallAsked);
  const found = searched(smallAsked).state.answers.find(({ size }) => size === 3)?.best.difference ?? NaN;
  const same = Math.abs(found - plain.best) < 1e-9 ? 'same winner' : `ANOTHER WINNER, ${found} against ${plain.best}`;
  const runs = Array.from({ length: 5 }, () => {
    const jars = jarsOf(60, random);
    return searched(question(jars, madeColour(jars, random)));
  });
  const evaluated = share(
    runs.map(({ state }) => state.evaluated),
    0.5,
  );
  const ms = share(
    runs.map((run) => run.ms),
    0.5,
  );
  const all = plain.tried * (threes(60) / threes(12));
  const slowest = Math.max(...runs.map((run) => run.ms));
  return {
    what: 'best mix of three from 60 jars, half ml of 12.5, proven, against trying every one (timed on 12 jars, scaled up)',
    figure: `${Math.round(all / evaluated).toLocaleString('en')} × fewer worked out (${evaluated.toLocaleString('en')} against ${Math.round(all).toLocaleString('en')}), ${Math.round((plain.ms * (threes(60) / threes(12))) / ms).toLocaleString('en')} × faster; ${(ms / 1000).toFixed(1)} s, slowest of five ${(slowest / 1000).toFixed(1)} s; ${same} on 12`,
    aim: '≥ 500 ×, under 2 s',
  };
}

/** What a maker at the bench waits for, ms. */
const PATIENCE = 30_000;

/** Mixes of three, four and five with ten see-through jars among sixty: five shelves, colours in reach and out of it in turn. */
export function seeThroughMatchRow(): Row {
  const random = randomStream(23);
  const shelves = Array.from({ length: 5 }, (_, i) => {
    const jars = jarsOf(60, random, 6);
    const away = (): number => 160 * random() - 80;
    const target: MixQuestion['target'] = i % 2 === 0 ? madeColour(jars, random) : [20 + 70 * random(), away(), away()];
    return { ...question(jars, target), closeEnough: 0.5, closeShare: 0.1 };
  });
  const rows = [3, 4, 5].map((size) => {
    const times = shelves.map((asked) => {
      const { ms, state } = searched({ ...asked, size }, PATIENCE);
      return state.answers.find((answer) => answer.size === size)?.proven ? ms / 1000 : Infinity;
    });
    times.sort((a, b) => a - b);
    const unproven = times.filter((time) => !Number.isFinite(time)).length;
    const slowest = times.filter(Number.isFinite).at(-1) ?? NaN;
    const middle = Number.isFinite(times[2]) ? `${times[2].toFixed(1)} s` : 'not proven';
    return `of ${size}: ${middle}, slowest ${slowest.toFixed(1)} s${unproven > 0 ? `, ${unproven} of five not proven in 30 s` : ''}`;
  });
  return {
    what: 'best mix from 60 jars of which ten see-through, colours in reach and out of it: exact of three, of more but for what no eye sees; median of five shelves',
    figure: rows.join('; '),
    aim: 'under 3, 10 and 30 s',
  };
}
