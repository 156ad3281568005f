import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  createPlanner,
  designFileSchema,
  flakeRain,
  mixSpectra,
  reflectanceOf,
  rules,
  suggestedDesign,
  withCoatMoved,
  type Design,
  type DesignFile,
  type Part,
} from '@aurantia/core';
import { matchRow, seeThroughMatchRow } from './match-bench';
import { medianOf, ratioOf, share, type Row } from './measure';

const file = (name: string): DesignFile =>
  designFileSchema.parse(JSON.parse(readFileSync(join(import.meta.dirname, '..', 'demo', 'designs', `${name}.json`), 'utf8')));

/** Blends of three over a dark base, see-through ones among them, against a plain average of their 36 bands. */
function rain(): Row {
  const { shelf } = file('copper-eaves');
  const glitters = shelf.flatMap((item) => (item.kind === 'glitter' ? [item.flake] : []));
  const blends: Part[][] = Array.from({ length: 500 }, (_, i) =>
    [0, 1, 2].map((k) => ({ glitter: glitters[(i + k * 2) % glitters.length], ml: 1 + ((i * (k + 3)) % 7) })),
  );
  const under = reflectanceOf('#1b1b1f');
  let kept = 0;
  const spectra = medianOf(41, () => blends.forEach((parts) => (kept += flakeRain(parts, 2.5, under)[10])));
  const plain = medianOf(41, () =>
    blends.forEach((parts) => {
      const total = parts.reduce((sum, part) => sum + part.ml, 0);
      const bands = parts.map(({ glitter }) => reflectanceOf(glitter.colour));
      kept += mixSpectra(
        bands,
        parts.map(({ ml }) => ml / total),
      )[10];
    }),
  );
  const perSecond = Math.round(blends.length / (spectra / 1000) / 100) * 100;
  return {
    what: 'flake rain of three against a plain average of 36 bands',
    figure: `${(spectra / plain).toFixed(1)} × (${perSecond.toLocaleString('en')} blends a second)${kept === 0 ? ' !' : ''}`,
    aim: '≥ 60,000 a second',
  };
}

/** Thirty bands on one cup with a mix each, and sixty coats: all that a cup takes, and nothing alike. */
function crowded(): Design {
  const { design, shelf } = file('thistle-weave');
  const jars = shelf.filter(({ kind }) => kind === 'glitter');
  const ids = Array.from({ length: 30 }, (_, i) => `b${i}` as Design['areas'][number]['id']);
  const band = design.areas.find(({ kind }) => kind === 'band');
  if (band?.kind !== 'band') throw new Error('there is no band to make thirty of');
  const level = (mm: number) => ({ ...band.lower, level: { by: 'foot' as const, mm }, teeth: null });
  const areas = ids.map((id, i) => ({ ...band, id, name: `Band ${i}`, lower: level(i * 4), upper: level(i * 4 + 4) }));
  const blends = ids.map((area, i) => ({
    area,
    parts: [0, 1].map((k) => ({
      item: jars[(i + k * 3) % jars.length].id,
      ml: 0.5 + ((i * 7) % 5) / 2,
    })) as Design['blends'][number]['parts'],
  }));
  const some = (i: number) => ids.filter((_, k) => (k * 5 + i) % 3 === 0);
  const coats = Array.from({ length: 60 }, (_, i) => {
    const coat = design.coats[i % design.coats.length];
    return { ...coat, id: `c${i}` as typeof coat.id, ...('on' in coat && i % 2 === 1 ? { on: some(i) } : {}) };
  });
  return { ...design, areas, blends, fades: [], coats };
}

/** A coat moved: planned and checked anew, against a plan of its own for each rule. Suggesting for thirty areas. */
async function checks(): Promise<readonly Row[]> {
  const { shelf, settings } = file('thistle-weave');
  const workshop = { shelf, settings };
  const design = crowded();
  const planner = createPlanner();
  planner(design, workshop);
  const layout = planner(design, workshop).areas;
  let round = 0;
  const moved = (): Design => {
    round += 1;
    return withCoatMoved(design, 20 + (round % 20), 5 + (round % 11));
  };
  // What is short is what `ratioOf` takes the middle of nine of; the plain one here is the long one.
  const { ratio, text } = await ratioOf(
    () => rules.forEach(() => createPlanner()(moved(), workshop, layout)),
    () => planner(moved(), workshop, layout),
  );
  const times = Array.from({ length: 41 }, () => {
    const start = performance.now();
    planner(moved(), workshop, layout);
    return performance.now() - start;
  });
  const suggest = medianOf(9, (i) => suggestedDesign({ ...design, coats: [] }, workshop, () => `s${i}-${(round += 1)}`));
  return [
    {
      what: `a coat moved among 60 on 30 areas, checked by ${rules.length} rules, against a fresh plan a rule`,
      figure: text,
      aim: `≥ 8 ×${ratio < 8 ? ' !' : ''}`,
    },
    {
      what: 'the same, ms at the median and the 95th percentile',
      figure: `${share(times, 0.5).toFixed(1)} and ${share(times, 0.95).toFixed(1)} ms`,
      aim: 'under 16.7 ms',
    },
    { what: 'a whole plan suggested for 30 areas', figure: `${suggest.toFixed(0)} ms`, aim: '≤ 50 ms' },
  ];
}

/** A shelf whose every colour is a shade nobody has worked out before. */
const repainted = (shelf: DesignFile['shelf'], round: number): DesignFile['shelf'] => {
  const shade = (hex: string) =>
    `#${((parseInt(hex.slice(1), 16) + 0x010203 * (round + 2)) & 0xffffff).toString(16).padStart(6, '0')}`;
  return shelf.map((item) => {
    if (item.kind === 'glitter') return { ...item, flake: { ...item.flake, colour: shade(item.flake.colour) } };
    return item.kind === 'ink' || item.kind === 'paint' ? { ...item, colour: shade(item.colour) } : item;
  });
};

/** The whole plan of a design never seen, spectra included, and the plan after a stepper moved by a spoon. */
function knob(): readonly Row[] {
  const { design, shelf, settings } = file('thistle-weave');
  const shelves = Array.from({ length: 42 }, (_, round) => repainted(shelf, round));
  const full = medianOf(41, (round) => createPlanner()(design, { shelf: shelves[round + 1], settings }));
  const workshop = { shelf, settings };
  const planner = createPlanner();
  planner(design, workshop);
  const turned = (round: number): Design => {
    const [first, ...others] = design.blends;
    const [part, ...parts] = first.parts;
    return { ...design, blends: [{ ...first, parts: [{ ...part, ml: 3 + round * 0.5 }, ...parts] }, ...others] };
  };
  const after = medianOf(41, (round) => planner(turned(round), workshop));
  return [
    { what: 'plan after one turned knob against a full plan', figure: `${((100 * after) / full).toFixed(0)} %`, aim: '≤ 15 %' },
    {
      what: 'the same, share of a frame at 60 a second',
      figure: `${((100 * after) / (1000 / 60)).toFixed(1)} %`,
      aim: 'under 100 %',
    },
  ];
}

export const coreRows = async (): Promise<readonly Row[]> => [
  rain(),
  ...knob(),
  ...(await checks()),
  matchRow(),
  seeThroughMatchRow(),
];
