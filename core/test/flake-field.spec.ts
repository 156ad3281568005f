import fc from 'fast-check';
import {
  allPixels,
  countedWords,
  cupField,
  fieldPlanOf,
  cupLight,
  deltaE2000,
  droppedStripe,
  fieldOf,
  fieldWork,
  flakeField,
  flakeRain,
  flatLight,
  hexOf,
  layOver,
  litField,
  mixSpectra,
  labOf,
  planOf,
  reflectanceOf,
  stripesOf,
  swatchField,
  type FieldRequest,
  type FlakeField,
  type LookFlake,
} from '../src';
import { anyDesign, anyWorkshop, withoutStrings } from './any-design';
import { coat, demoFile, designWith, workshop } from './workshop';

const flat = (look: FieldRequest['regions'][0]['look'], seed = 7): FieldRequest => ({
  width: 240,
  height: 240,
  rowsPerMm: 8,
  columnsPerMm: () => 8,
  regions: [{ pixels: allPixels(240, 240), look }],
  ground: '#000000',
  seed,
  wraps: true,
});
const green: LookFlake = { colour: '#00ff00', kind: 'solid', opacity: 1, finish: 'matte', cut: 0.4, share: 1 };
const flakes = (cut: number, depth: number, flake: Partial<LookFlake> = {}) => [
  { layer: 'ground' as const, colour: '#ff0000' },
  { layer: 'flakes' as const, depth, flakes: [{ ...green, ...flake, cut }] },
];
const still = (field: FlakeField) => litField(field, flatLight(0, 0));

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
  const pixels = (seed: number) => Buffer.from(still(flakeField(flat(flakes(0.4, 1), seed))));
  expect(pixels(7).equals(pixels(7))).toBe(true);
  expect(pixels(7).equals(pixels(8))).toBe(false);
});

test('a picture is the same however many make it', () => {
  fc.assert(
    fc.property(anyDesign.map(withoutStrings), anyWorkshop, fc.integer({ min: 2, max: 7 }), (design, shelf, hands) => {
      const request = cupField(fieldPlanOf(planOf(design, shelf)), design.cup, 2);
      const whole = flakeField(request);
      const cuts = stripesOf(request.height, hands);
      // Each has only the request: nothing passes between them but what they made.
      const stripes = cuts.slice(1).map((to, i) => droppedStripe(fieldWork(request), cuts[i], to));
      const together = fieldOf(fieldWork(request), stripes.reverse());
      expect(Buffer.from(together.tokens.buffer).equals(Buffer.from(whole.tokens.buffer))).toBe(true);
      expect([together.bareShare, together.seen, together.flakes]).toEqual([whole.bareShare, whole.seen, whole.flakes]);
    }),
    { numRuns: 30 },
  );
});

test('a whole cup has its bare lip at the top and its areas where they belong', () => {
  const { design } = demoFile('orchard-frost');
  const plan = planOf(design, workshop);
  const request = cupField(fieldPlanOf(plan), design.cup, 2);
  const field = flakeField(request);
  const pixels = still(field);
  const at = (mm: number) => {
    const row = Math.floor((plan.surface.height - mm) * request.rowsPerMm);
    const sum = [0, 0, 0];
    for (let x = 0; x < field.width; x += 1)
      for (let k = 0; k < 3; k += 1) sum[k] += pixels[(row * field.width + x) * 4 + k] / field.width;
    return sum;
  };
  expect(pixels).toHaveLength(field.width * field.height * 4);
  expect(at(203).map(Math.round)).toEqual([0xb9, 0xbc, 0xc0]);
  const [grove, sky] = [at(50), at(150)];
  expect(grove[1]).toBeGreaterThan(grove[0]);
  expect(sky[2]).toBeGreaterThan(sky[1]);
  expect(field.flakes).toBeGreaterThan(100000);
});

test('the mean of a swatch is the colour seen from afar', () => {
  const design = designWith([coat.base, coat.wipe, { ...coat.glitter, on: ['low'] }]);
  const plan = planOf(design, workshop);
  const pixels = still(flakeField(swatchField(fieldPlanOf(plan), 'low', 60, 8)));
  const linear = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);
  const gamma = (value: number) => (value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055);
  const mean = [0, 1, 2].map((axis) => {
    let sum = 0;
    for (let i = axis; i < pixels.length; i += 4) sum += linear(pixels[i] / 255);
    return Math.round(255 * gamma(sum / (pixels.length / 4)));
  });
  const hex = `#${mean.map((value) => value.toString(16).padStart(2, '0')).join('')}`;
  expect(deltaE2000(labOf(reflectanceOf(hex)), labOf(reflectanceOf(plan.blends[0].seen)))).toBeLessThan(1.5);
});

test('a glint under see-through flakes is bright, never of another hue', () => {
  const { design, shelf, settings } = demoFile('copper-eaves');
  const plan = planOf(design, { shelf, settings });
  const ridge = plan.areas.areas.find(({ name }) => name === 'Ridge');
  const pixels = still(flakeField(swatchField(fieldPlanOf(plan), ridge?.id ?? '', 12, 18)));
  const off = Array.from({ length: pixels.length / 4 }, (_, i) => i).filter((i) => pixels[i * 4 + 1] > pixels[i * 4]);
  expect(off).toEqual([]);
});

test.each(['copper-eaves', 'orchard-frost', 'peat-fire', 'thistle-weave'] as const)(
  'what is counted on the flakes of %s agrees with what is predicted, ink and all',
  (name) => {
    const { design, shelf, settings } = demoFile(name);
    const plan = planOf(design, { shelf, settings });
    expect(plan.blends.length).toBeGreaterThan(1);
    for (const blend of plan.blends) {
      const field = flakeField(swatchField(fieldPlanOf(plan), blend.area, 30, 6));
      const words = countedWords(field, plan.finished[blend.area]) ?? '';
      expect(words).toMatch(/ flakes: [\d.]+ % bare, .* \(no visible difference\)\.$/);
      expect(deltaE2000(labOf(reflectanceOf(field.seen ?? '')), labOf(reflectanceOf(plan.finished[blend.area])))).toBeLessThan(1);
      expect(Math.abs((field.bareShare ?? NaN) - blend.bare)).toBeLessThan(0.03);
    }
  },
);

test('see-through flakes lie on each other as flake rain says, under a film too', () => {
  const glitter = {
    colour: '#2fa8c0',
    kind: 'opal' as const,
    opacity: 0.3,
    thickness: 40,
    solidShare: 0.3,
    cut: 0.2,
    density: 1.38,
  };
  const film = { R: reflectanceOf('#000000').map(() => 0), T: reflectanceOf('#ffb060').map(Math.sqrt) };
  const look = [...flakes(0.2, 3, glitter), { layer: 'film' as const, film }];
  const rained = layOver(film, flakeRain([{ glitter, ml: 1 }], 3, reflectanceOf('#ff0000')));
  const { seen, parts } = flakeField(flat(look));
  expect(deltaE2000(labOf(reflectanceOf(seen ?? '')), labOf(reflectanceOf(hexOf(rained))))).toBeLessThan(0.6);
  // Deep stacks that look alike count as one, however many flakes lie in them.
  expect(parts[1].stacks.length).toBeLessThan(30);
});

describe('light', () => {
  const mean = (pixels: Uint8ClampedArray, axis: number) => {
    let sum = 0;
    for (let i = axis; i < pixels.length; i += 4) sum += pixels[i];
    return sum / (pixels.length / 4);
  };
  const lit = (flake: Partial<LookFlake>, x: number) =>
    litField(flakeField(flat(flakes(0.4, 4, { colour: '#707070', ...flake }))), flatLight(x, 0));
  const changed = (one: Uint8ClampedArray, other: Uint8ClampedArray) =>
    one.reduce((sum, value, i) => sum + Math.abs(value - other[i]), 0) / one.length;
  const greyness = (pixels: Uint8ClampedArray) => {
    let off = 0;
    for (let i = 0; i < pixels.length; i += 4) off += Math.abs(pixels[i] - pixels[i + 2]);
    return off / (pixels.length / 4);
  };

  test('that moves makes other metallic flakes flash, and matte ones hardly', () => {
    const metallic = changed(lit({ finish: 'metallic' }, 0), lit({ finish: 'metallic' }, 0.12));
    const matte = changed(lit({ finish: 'matte' }, 0), lit({ finish: 'matte' }, 0.12));
    expect(metallic).toBeGreaterThan(10);
    expect(matte).toBeLessThan(metallic / 4);
  });
  test('is spread into colours by holographic flakes only', () => {
    expect(greyness(lit({ finish: 'holographic' }, 0.05))).toBeGreaterThan(6 * greyness(lit({ finish: 'metallic' }, 0.05)));
  });
  test('that grazes turns an opal to shorter waves, from green towards blue', () => {
    const opal = { kind: 'opal' as const, opacity: 0.8, colour: '#5fc070', finish: 'clear' as const };
    const blueness = (pixels: Uint8ClampedArray) => mean(pixels, 2) / mean(pixels, 0);
    expect(blueness(lit(opal, 0.9))).toBeGreaterThan(1.15 * blueness(lit(opal, 0)));
  });
  test('on a cup paints what faces you and leaves the back alone', () => {
    const field = flakeField(flat(flakes(0.4, 1)));
    const seen = (turn: number) => {
      const pixels = litField(field, cupLight(240, turn));
      return Array.from({ length: 240 }, (_, x) => pixels[x * 4 + 3] === 255);
    };
    expect(seen(0).indexOf(true)).toBe(53);
    expect(seen(0)[120]).toBe(true);
    expect(seen(Math.PI)[120]).toBe(false);
    expect(seen(Math.PI)[0]).toBe(true);
  });
});

test('on a taper as much is left bare at the rim as at the foot', () => {
  const request = { ...flat(flakes(0.4, 1)), columnsPerMm: (row: number) => 8 + row / 60 };
  const pixels = still(flakeField(request));
  const bare = (from: number) => {
    let count = 0;
    for (let at = from * 240; at < (from + 80) * 240; at += 1) if (pixels[at * 4] === 255) count += 1;
    return count / (80 * 240);
  };
  for (const from of [0, 80, 160]) expect(Math.abs(bare(from) - Math.exp(-1))).toBeLessThan(0.03);
});

describe('fine and coarse flakes together', () => {
  const mixed = (fine: number, coarse: number, share: number, colours = ['#00ff00', '#2020ff']): readonly LookFlake[] => [
    { ...green, colour: colours[0], cut: fine, share: 1 - share },
    { ...green, colour: colours[1], cut: coarse, share },
  ];
  test.each([0.2, 0.6])('a cut of 2.5 mm with %p mm: neither lies more on top than its face', (fine) => {
    // As wide as a whole cup's picture: flakes fall on it in stretches narrower than the coarse ones.
    const [depth, seeds, width, height] = [2, 16, 4096, 160];
    const kinds = mixed(fine, 2.5, 0.5);
    const look = [
      { layer: 'ground' as const, colour: '#ff0000' },
      { layer: 'flakes' as const, depth, flakes: kinds },
    ];
    const shares = Array.from({ length: seeds }, (_, seed) => {
      const regions = [{ pixels: allPixels(width, height), look }];
      const { tokens, parts } = flakeField({
        ...flat(look, seed),
        width,
        height,
        rowsPerMm: 17,
        columnsPerMm: () => 17,
        regions,
      });
      const { stacks, flakes: faces } = parts[1];
      const coarse = stacks.map(({ glint, flake }) => glint !== null && faces[flake].colour === '#2020ff');
      return tokens.reduce((sum, token) => sum + (coarse[token >> 6] ? 1 : 0), 0) / tokens.length;
    });
    const mean = shares.reduce((sum, one) => sum + one, 0) / seeds;
    const error = Math.sqrt(shares.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (seeds - 1) / seeds);
    const expected = 0.5 * (1 - Math.exp(-depth));
    expect(Math.abs(mean - expected)).toBeLessThan(3 * error + 0.001);
    // Told apart as the eye does: within ΔE00 1 of the prediction, and what chance does.
    const seen = (share: number) =>
      mixSpectra(['#00ff00', '#2020ff', '#ff0000'].map(reflectanceOf), [1 - Math.exp(-depth) - share, share, Math.exp(-depth)]);
    const apart = (share: number) => deltaE2000(labOf(seen(share)), labOf(seen(expected)));
    expect(apart(mean)).toBeLessThan(1 + apart(expected + 3 * error));
  });
});

test('a small motif is no barer than a large area: flakes that fall over its edge count', () => {
  const [width, height] = [240, 240];
  for (const [side, cut] of [
    [16, 0.6],
    [24, 1],
    [40, 2.5],
  ] as const) {
    // Motifs of `side` pixels at 8 a mm, spread over the picture.
    const pixels = [...allPixels(width, height)].filter((at) => {
      const [x, y] = [at % width, Math.floor(at / width)];
      return x % (side * 2) < side && y % (side * 2) < side;
    });
    const [bares, depth] = [[] as number[], 1.5];
    for (let seed = 0; seed < 8; seed += 1) {
      const field = flakeField({
        ...flat(flakes(cut, depth), seed),
        regions: [{ pixels: Uint32Array.from(pixels), look: flakes(cut, depth) }],
      });
      bares.push(field.bareShare ?? NaN);
    }
    const mean = bares.reduce((sum, one) => sum + one, 0) / bares.length;
    const spread = Math.sqrt(bares.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (bares.length - 1) / bares.length);
    expect(Math.abs(mean - Math.exp(-depth))).toBeLessThan(3 * spread + 0.004);
  }
});

test('any cup of any design gets its picture, whatever lies on it', () => {
  fc.assert(
    fc.property(anyDesign.map(withoutStrings), anyWorkshop, (design, shelf) => {
      const plan = planOf(design, shelf);
      const field = flakeField(cupField(fieldPlanOf(plan), design.cup, 1));
      expect(field.done).toBe(1);
      for (const { id } of plan.places.slice(0, 2)) expect(flakeField(swatchField(fieldPlanOf(plan), id, 6, 4)).done).toBe(1);
    }),
    { numRuns: 25 },
  );
});
