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
import { medianOf, type Row } from './measure';

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

/** A stop of the demo's fade dragged: the whole plan anew for each step of the hand. */
function dragged(): Row {
  const file = designFileSchema.parse(demo('designs/apiary-noon.json'));
  const plan = createPlanner();
  let design: Design = file.design;
  let at = 0.3;
  plan(design, file);
  const step = medianOf(41, () => {
    at = at > 0.9 ? 0.3 : at + 0.011;
    design = withFade(design, design.fades[0].area, (fade) => withStopDragged(fade, 1, at));
    plan(design, file);
  });
  return {
    what: 'a stop dragged a step: areas, pots, coats and findings anew',
    figure: `${step.toFixed(1)} ms, ${((100 * step) / FRAME).toFixed(0)} % of a frame`,
    aim: 'under a frame',
  };
}

export const fadeRows = (): readonly Row[] => [walks(), dragged()];
