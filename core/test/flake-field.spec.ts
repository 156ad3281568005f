import {
  allPixels,
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
