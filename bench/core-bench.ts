import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  allPixels,
  createPlanner,
  cupField,
  fieldPlanOf,
  cupLight,
  designFileSchema,
  flakeFace,
  flakeField,
  flakeRain,
  flatLight,
  litField,
  mixSpectra,
  reflectanceOf,
  type Design,
  type DesignFile,
  type FieldRequest,
  type Part,
} from '@aurantia/core';
import { matchRow } from './match-bench';
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

/** The pixels of a picture filled once, over and over on the same memory. */
function filling(count: number): number {
  const pixels = new Uint32Array(count);
  return medianOf(21, (round) => {
    for (let at = 0; at < pixels.length; at += 1) pixels[at] = 0xff2a1b00 + round;
  });
}

/** Every flake of a cup dropped, see-through ones and all, against filling the same pixels once. */
function bake(): Row {
  const { design, shelf, settings } = file('copper-eaves');
  const request = cupField(fieldPlanOf(createPlanner()(design, { shelf, settings })), design.cup, 4);
  const baked = medianOf(3, () => litField(flakeField(request), cupLight(request.width, 0)));
  const { flakes } = flakeField(request);
  return {
    what: `a cup of ${(flakes / 1e6).toFixed(1)} million flakes, a third of it see-through, against filling its pixels once`,
    figure: `${(baked / filling(request.width * request.height)).toFixed(0)} ×`,
    aim: '–',
  };
}

/** A million flakes of 0.4 mm on a wrap 4096 pixels wide, against one fill of the same pixels. */
function field(): Row {
  const [width, height, perMm] = [4096, 2048, 14];
  const depth = (1e6 * flakeFace({ cut: 0.4 })) / ((width * height) / perMm ** 2);
  const flake = { kind: 'solid', opacity: 1, finish: 'metallic', cut: 0.4, share: 0.5 } as const;
  const look: FieldRequest['regions'][number]['look'] = [
    { layer: 'ground', colour: '#595959' },
    {
      layer: 'flakes',
      depth,
      flakes: [
        { ...flake, colour: '#da8930' },
        { ...flake, colour: '#953f26' },
      ],
    },
  ];
  const request: FieldRequest = {
    width,
    height,
    rowsPerMm: perMm,
    columnsPerMm: () => perMm,
    regions: [{ pixels: allPixels(width, height), look }],
    ground: '#000000',
    seed: 7,
    wraps: true,
  };
  const dropped = medianOf(5, () => litField(flakeField(request), flatLight(0, 0)));
  const { flakes, bareShare } = flakeField(request);
  return {
    what: `${(flakes / 1e6).toFixed(1)} million flakes of 0.4 mm on a wrap 4096 wide against one fill of the same pixels`,
    figure: `${(dropped / filling(width * height)).toFixed(0)} ×; ${((bareShare ?? NaN) * 100).toFixed(2)} % bare, e^(−depth) is ${(Math.exp(-depth) * 100).toFixed(2)} %`,
    aim: '≤ 25 ×',
  };
}

export const coreRows = (): readonly Row[] => [rain(), ...knob(), matchRow(), field(), bake()];
