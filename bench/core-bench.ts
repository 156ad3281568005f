import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  createPlanner,
  designFileSchema,
  flakeRain,
  mixSpectra,
  reflectanceOf,
  type Design,
  type DesignFile,
  type Part,
} from '@aurantia/core';
import { matchRow, seeThroughMatchRow } from './match-bench';
import { medianOf, type Row } from './measure';

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

export const coreRows = (): readonly Row[] => [rain(), ...knob(), matchRow(), seeThroughMatchRow()];
