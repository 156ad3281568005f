import {
  allPixels,
  countedWords,
  cupField,
  deltaE2000,
  flakeField,
  labOf,
  planOf,
  reflectanceOf,
  swatchField,
  type FieldRequest,
} from '../src';
import { coat, demoFile, designWith, workshop } from './workshop';

const flat = (look: FieldRequest['regions'][0]['look'], seed = 7): FieldRequest => ({
  width: 240,
  height: 240,
  rowsPerMm: 8,
  columnsPerMm: () => 8,
  regions: [{ pixels: allPixels(240, 240), look }],
  ground: [0, 0, 0],
  seed,
  wraps: true,
});
const flakes = (cut: number, depth: number) => [
  { layer: 'ground' as const, rgb: [1, 0, 0] as const },
  { layer: 'flakes' as const, depth, flakes: [{ rgb: [0, 1, 0] as const, kind: 'solid' as const, opacity: 1, cut, share: 1 }] },
];

/** Standard error of a counted bare share: pixels under one flake aren’t independent of each other. */
const standardError = (bare: number, cut: number) => Math.sqrt((bare * (1 - bare)) / Math.min(57600, 900 / (cut * cut)));

describe('what the flakes leave bare', () => {
  test.each([0.2, 0.4, 1, 2.5])('agrees with e^(−depth) at a cut of %p mm', (cut) => {
    for (const depth of [0.5, 1, 2]) {
      const { bareShare } = flakeField(flat(flakes(cut, depth)));
      expect(Math.abs((bareShare ?? NaN) - Math.exp(-depth))).toBeLessThan(3 * standardError(Math.exp(-depth), cut));
    }
  });
  test('is nobody’s business where nothing was poured', () =>
    expect(flakeField(flat(flakes(0.4, 0).slice(0, 1))).bareShare).toBeNull());
});

test('the same seed gives the same cup, another one another', () => {
  const pixels = (seed: number) => Buffer.from(flakeField(flat(flakes(0.4, 1), seed)).pixels);
  expect(pixels(7).equals(pixels(7))).toBe(true);
  expect(pixels(7).equals(pixels(8))).toBe(false);
});

test('a whole cup has its bare lip at the top and its areas where they belong', () => {
  const { design } = demoFile('orchard-frost');
  const plan = planOf(design, workshop);
  const request = cupField(plan, design.cup, 2);
  const field = flakeField(request);
  const at = (mm: number) => {
    const row = Math.floor((plan.surface.height - mm) * request.rowsPerMm);
    const sum = [0, 0, 0];
    for (let x = 0; x < field.width; x += 1)
      for (let k = 0; k < 3; k += 1) sum[k] += field.pixels[(row * field.width + x) * 4 + k] / field.width;
    return sum;
  };
  expect(field.pixels).toHaveLength(field.width * field.height * 4);
  expect(at(203).map(Math.round)).toEqual([0xb9, 0xbc, 0xc0]);
  const [grove, sky] = [at(50), at(150)];
  expect(grove[1]).toBeGreaterThan(grove[0]);
  expect(sky[2]).toBeGreaterThan(sky[1]);
  expect(field.flakes).toBeGreaterThan(100000);
});

test('the mean of a swatch is the colour seen from afar', () => {
  const design = designWith([coat.base, coat.wipe, { ...coat.glitter, on: ['low'] }]);
  const plan = planOf(design, workshop);
  const field = flakeField(swatchField(plan, 'low', 60, 8));
  const linear = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);
  const gamma = (value: number) => (value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055);
  const mean = [0, 1, 2].map((axis) => {
    let sum = 0;
    for (let i = axis; i < field.pixels.length; i += 4) sum += linear(field.pixels[i] / 255);
    return Math.round(255 * gamma(sum / (field.pixels.length / 4)));
  });
  const hex = `#${mean.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
  expect(deltaE2000(labOf(reflectanceOf(hex)), labOf(reflectanceOf(plan.blends[0].seen)))).toBeLessThan(1.5);
});

test('a glint under see-through flakes is bright, never of another hue', () => {
  const { design, shelf, settings } = demoFile('copper-eaves');
  const plan = planOf(design, { shelf, settings });
  const ridge = plan.areas.areas.find(({ name }) => name === 'Ridge');
  const { pixels } = flakeField(swatchField(plan, ridge?.id ?? '', 12, 18));
  const off = Array.from({ length: pixels.length / 4 }, (_, i) => i).filter((i) => pixels[i * 4 + 1] > pixels[i * 4]);
  expect(off).toEqual([]);
});

test('what is counted on the flakes agrees with what is predicted, for every blend of the demo without ink over it', () => {
  let seen = 0;
  for (const name of ['copper-eaves', 'orchard-frost'] as const) {
    const { design, shelf, settings } = demoFile(name);
    const plan = planOf(design, { shelf, settings });
    for (const blend of plan.blends.filter(({ area }) => plan.looks[area].every(({ layer }) => layer !== 'film'))) {
      const field = flakeField(swatchField(plan, blend.area, 40, 6));
      expect(deltaE2000(labOf(reflectanceOf(field.seen ?? '#000000')), blend.lab)).toBeLessThan(1);
      expect(countedWords(field, plan.finished[blend.area])).toMatch(/ flakes: [\d.]+ % bare, .* \(twins\)\.$/);
      expect(Math.abs((field.bareShare ?? NaN) - blend.bare)).toBeLessThan(0.02);
      seen += 1;
    }
  }
  expect(seen).toBeGreaterThan(3);
});

test('on a taper as much is left bare at the rim as at the foot', () => {
  const request = { ...flat(flakes(0.4, 1)), columnsPerMm: (row: number) => 8 + row / 60 };
  const { pixels } = flakeField(request);
  const bare = (from: number) => {
    let count = 0;
    for (let at = from * 240; at < (from + 80) * 240; at += 1) if (pixels[at * 4] === 255) count += 1;
    return count / (80 * 240);
  };
  for (const from of [0, 80, 160]) expect(Math.abs(bare(from) - Math.exp(-1))).toBeLessThan(0.03);
});
