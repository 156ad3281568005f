import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  createPlanner,
  designFileSchema,
  evenWalk,
  flakeRain,
  plainWalk,
  reflectanceOf,
  shelfItemSchema,
  type Design,
  type Part,
} from '@aurantia/core';
import { withFade, withStopDragged } from '@aurantia/core';
import { medianOf, share, type Row } from './measure';

const demo = (name: string): unknown => JSON.parse(readFileSync(join(import.meta.dirname, '..', 'demo', name), 'utf8'));
/** ms of one frame at 60 a second */
const FRAME = 1000 / 60;

/** Five stops, each a blend of six jars, see-through ones among them: every leg walked both ways. */
function walks(): Row {
  const shelf = shelfItemSchema.array().parse(demo('shelf.json'));
  const flakes = shelf.flatMap((item) => (item.kind === 'glitter' ? [item.flake] : []));
  const under = reflectanceOf('#d9a441');
  const blend = (stop: number): Part[] =>
    Array.from({ length: 6 }, (_, i) => ({ glitter: flakes[(stop * 5 + i) % flakes.length], ml: 1 + ((stop + i) % 3) }));
  const legs = [0, 1, 2, 3].map(
    (leg) => (share: number) =>
      flakeRain(
        [
          ...blend(leg).map((part) => ({ ...part, ml: part.ml * (1 - share) })),
          ...blend(leg + 1).map((part) => ({ ...part, ml: part.ml * share })),
        ],
        1.7,
        under,
      ),
  );
  const few = legs.map((leg) => evenWalk(4, leg));
  const all = legs.map((leg) => plainWalk(4, leg));
  const off = Math.max(...few.flatMap(({ at }, leg) => at.map((one, i) => Math.abs(one - all[leg].at[i]))));
  const fast = medianOf(21, () => legs.map((leg) => evenWalk(4, leg)));
  const plain = medianOf(5, () => legs.map((leg) => plainWalk(4, leg)));
  return {
    what: 'five-stop fade of six-jar blends against 512 spectra a leg',
    figure: `${(plain / fast).toFixed(0)} × faster (${fast.toFixed(1)} ms); pots at most ${(100 * off).toFixed(4)} % of a leg elsewhere`,
    aim: '≥ 10 ×',
  };
}

/** A stop of the demo's fade dragged: the whole plan anew for each step of the hand, five hundred of them. */
function dragged(): Row {
  const file = designFileSchema.parse(demo('designs/apiary-noon.json'));
  const plan = createPlanner();
  let design: Design = file.design;
  plan(design, file);
  const steps = Array.from({ length: 500 }, (_, i) => {
    const at = 0.3 + 0.6 * Math.abs(Math.sin(i / 40));
    const begun = performance.now();
    design = withFade(design, design.fades[0].area, (fade) => withStopDragged(fade, 1, at));
    plan(design, file);
    return performance.now() - begun;
  }).slice(20);
  const frame = (part: number) => `${((100 * share(steps, part)) / FRAME).toFixed(0)} % of a frame`;
  return {
    what: 'a stop dragged a step: areas, pots, coats and findings anew, median and 95th percentile of 480',
    figure: `${share(steps, 0.5).toFixed(1)} ms, ${frame(0.5)}; ${share(steps, 0.95).toFixed(1)} ms, ${frame(0.95)}`,
    aim: 'under a frame',
  };
}

export const fadeRows = (): readonly Row[] => [walks(), dragged()];
