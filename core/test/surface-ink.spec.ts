import fc from 'fast-check';
import {
  bandRegion,
  cupField,
  deltaE2000,
  designSchema,
  fieldPlanOf,
  flakeField,
  hexOf,
  labOf,
  lookSpectrum,
  mixSpectra,
  planOf,
  reflectanceOf,
  swatchField,
  typicalCups,
  withCupFitted,
  type Plan,
} from '../src';
import { cupsAtOnce } from '../src/batches';
import { classShares, patternOf, wholeShares, type PatternWish } from '../src/pattern';
import { coat, designWith, workshop } from './workshop';

const wall = { round: 260, tall: 180 };
const stations = [
  { height: 0, circumference: 220 },
  { height: 180, circumference: 280 },
];
const between = (from: number, to: number) => bandRegion(from, to);
const grainWish = fc.record({
  kind: fc.constant('grain' as const),
  along: fc.constantFrom('up' as const, 'round' as const),
  strokes: fc.constantFrom('long' as const, 'short' as const, 'both' as const),
  width: fc.constantFrom(0.4, 2, 12),
  knots: fc.integer({ min: 0, max: 16 }),
  shares: fc.constantFrom([0.5], [0.3, 0.4], [0.2, 0.2, 0.2, 0.2], [0.5, 0.5]),
  seed: fc.integer({ min: 0, max: 999999 }),
  round: fc.constant(wall.round),
  tall: fc.constant(wall.tall),
});
const anyWish: fc.Arbitrary<PatternWish> = fc.oneof(
  grainWish,
  fc.record({
    kind: fc.constant('crackle' as const),
    cell: fc.constantFrom(3, 14, 60),
    reach: fc.constantFrom(5, 90, 180),
    seed: fc.nat(9999),
    round: fc.constant(260),
    tall: fc.constant(180),
  }),
  fc.record({
    kind: fc.constant('floated' as const),
    colours: fc.array(fc.record({ drops: fc.integer({ min: 1, max: 30 }) }), { minLength: 1, maxLength: 4 }),
    across: fc.constantFrom(5, 50, 150),
    seed: fc.nat(9999),
    round: fc.constant(260),
    tall: fc.constant(180),
  }),
  fc.record({
    kind: fc.constant('swirls' as const),
    share: fc.constantFrom(0.01, 0.4, 0.99),
    seed: fc.nat(9999),
    round: fc.constant(260),
    tall: fc.constant(180),
  }),
);

describe('a pattern of ink', () => {
  test('has a class at every spot, closes round the wall, and is the same for the same seed', () => {
    fc.assert(
      fc.property(
        anyWish,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        (wish, turn, up) => {
          const pattern = patternOf(wish);
          const own = pattern.classAt(turn, up);
          expect(Number.isInteger(own) && own >= 0 && own < pattern.classes).toBe(true);
          expect(patternOf({ ...wish }).classAt(turn, up)).toBe(own);
          // But for floated colours, which a cup rolls over from seam to seam.
          if (wish.kind !== 'floated') expect(pattern.classAt(1e-9, up)).toBe(pattern.classAt(1 - 1e-9, up));
          const shares = wholeShares(wish, stations);
          expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
        },
      ),
      { numRuns: 24 },
    );
  });
  test('of grain gives each tone the share it has', () => {
    fc.assert(
      fc.property(grainWish, (wish) => {
        const [bare, ...tones] = wholeShares(wish, stations);
        // Rings of 0.4 mm are measured by some 90 rows of cells: that is a coin tossed 90 times.
        const near = wish.width < 1 ? 0.1 : 0.05;
        wish.shares.forEach((share, i) => expect(Math.abs(tones[2 * i] + tones[2 * i + 1] - share)).toBeLessThan(near));
        expect(Math.abs(bare - (1 - wish.shares.reduce((sum, share) => sum + share, 0)))).toBeLessThan(near);
      }),
      { numRuns: 8 },
    );
  });
  test('of swirls covers what was wished', () => {
    for (const share of [0.1, 0.4, 0.9])
      for (const seed of [1, 2]) {
        const [bare] = wholeShares({ kind: 'swirls', share, seed, ...wall }, stations);
        expect(Math.abs(1 - bare - share)).toBeLessThan(0.04);
      }
  });
  test('of crackle stays under what it reaches, but for its ragged edge', () => {
    const wish: PatternWish = { kind: 'crackle', cell: 14, reach: 90, seed: 4, ...wall };
    expect(classShares(wish, between(110, 180), stations)[0]).toBe(1);
    expect(classShares(wish, between(0, 75), stations)[0]).toBe(0);
  });
  test('of floated colours: a drop keeps the area that it spreads to, whatever falls after it, while there is room', () => {
    for (const seed of [1, 2, 3, 4]) {
      const wish: PatternWish = { kind: 'floated', colours: [{ drops: 1 }, { drops: 1 }], across: 40, seed, ...wall };
      const straight = [
        { height: 0, circumference: 260 },
        { height: 180, circumference: 260 },
      ];
      // Far from the edges of the water, which drops fall over.
      const [, first, last] = wholeShares(wish, straight);
      const disc = (Math.PI * 20 ** 2) / (260 * 180);
      expect(last).toBeLessThan(disc * 1.08);
      expect(first).toBeLessThan(disc * 1.12);
    }
  });
});

const grain = {
  kind: 'grain',
  on: 'all',
  ink: 'madder',
  drops: 3,
  also: [{ ink: 'sloe', drops: 3 }],
  share: 80,
  along: 'up',
  strokes: 'both',
  width: 2,
  knots: 3,
  seed: 1,
};
const crackle = { kind: 'crackle', on: 'all', ink: 'tarn', ml: 2, thinned: 6, cell: 14, seed: 1 };
const floated = {
  kind: 'floated',
  on: 'all',
  ink: 'tarn',
  drops: 6,
  also: [{ ink: 'marrow', drops: 6 }],
  across: 50,
  lands: 60,
  seed: 1,
};
const dab = { kind: 'dab', on: 'all', ink: 'fog-lamp', share: 40, seed: 1 };
const white = { ...coat.base, paint: 'limewash' };
const laid = (...coats: readonly object[]): Plan => planOf(designWith(coats, { blends: [] }), workshop);
const found = (plan: Plan) => plan.findings.map(({ rule }) => rule);
const apart = (one: string, other: string) => deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));

describe('ink on the surface', () => {
  test.each([
    ['grain', grain],
    ['crackle', { ...crackle, ml: 20 }],
    ['floated colours', floated],
    ['dabbed pearl', dab],
  ])('%s: the picture agrees with the colour that is told, place by place', (_, one) => {
    const base = one === dab ? { ...coat.base, paint: 'soft-black' } : white;
    const design = designWith(one === dab ? [base, { ...coat.resin, thickness: 0.1 }, one] : [base, one], { blends: [] });
    const plan = planOf(design, workshop);
    const request = cupField(fieldPlanOf(plan), design.cup, 2);
    const plain = cupField({ ...fieldPlanOf(plan), patterns: [] }, design.cup, 2).regions;
    const looks = request.regions.map(({ look }) => lookSpectrum(look, plan.bareWall));
    for (const place of ['low', 'high']) {
      // The wall that nothing covers comes first.
      const pixels = new Set(plain[1 + plan.places.findIndex(({ id }) => id === place)].pixels);
      const shares = request.regions.map((region) => region.pixels.filter((pixel) => pixels.has(pixel)).length / pixels.size);
      expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(apart(hexOf(mixSpectra(looks, shares)), plan.finished[place])).toBeLessThan(2);
    }
    // Each pixel has one part, and is drawn.
    expect(new Set(flakeField(request).owner).size).toBeGreaterThan(3);
    // A flat square of it shows the pattern too; between two drops there may be none of them.
    const square = swatchField(fieldPlanOf(plan), 'low', 26, 4).regions;
    if (one !== floated) expect(square.some(({ look }) => look.at(-1)?.layer === 'film')).toBe(true);
  });
  test('more drops are deeper, more that lands too, and another hand is another picture of the same colour', () => {
    const low = (one: object) => laid(white, one).finished['low'];
    const lightness = (one: object) => labOf(reflectanceOf(low(one)))[0];
    expect(lightness({ ...grain, drops: 9 })).toBeLessThan(lightness(grain));
    expect(lightness({ ...floated, lands: 100 })).toBeLessThan(lightness({ ...floated, lands: 20 }));
    expect(lightness({ ...crackle, ml: 12 })).toBeLessThan(lightness({ ...crackle, ml: 4 }));
    expect(apart(low(grain), low({ ...grain, seed: 7 }))).toBeLessThan(3);
  });
  test('all of the ink is there: what lies in each class adds up to what was dropped', () => {
    fc.assert(
      fc.property(fc.constantFrom(...typicalCups), fc.integer({ min: 1, max: 20 }), (cup, drops) => {
        const design = designSchema.parse({ ...designWith([white, { ...grain, drops }]), cup, areas: [], blends: [] });
        const plan = planOf(design, workshop);
        const uses = plan.coats[1].uses;
        expect(uses.map(({ reads }) => reads)).toEqual([`${drops} drop${drops === 1 ? '' : 's'}`, '3 drops']);
        expect(uses[0].amount).toBeCloseTo(drops * 0.04, 9);
      }),
      { numRuns: 5 },
    );
  });
  test('a flat square of a place is cut out of that place: at the foot there is crackle, where it ends below the middle of the wall', () => {
    const plan = laid(white, { ...crackle, ml: 0.45 });
    expect(plan.coats[1].does).toMatch(/about [4-7]\d mm up/);
    const regions = (place: string) => swatchField(fieldPlanOf(plan), place, 26, 4).regions.length;
    expect(regions('low')).toBeGreaterThan(2);
    expect(regions('high')).toBe(1);
  });
  test('crackle says how high its ink comes and how many days it takes, longer in a cold room', () => {
    const plan = laid(white, { ...crackle, ml: 1 });
    expect(plan.coats[1].does).toMatch(/about \d+ mm up/);
    const cold = planOf(designWith([white, crackle], { blends: [] }), {
      ...workshop,
      settings: { ...workshop.settings, celsius: 15 },
    });
    expect(cold.coats[1].wait.minutes).toBeGreaterThan(1.4 * plan.coats[1].wait.minutes);
    expect(plan.coats[1].wait.until).toMatch(/about 5\.5 days/);
  });
  test('an ink that is gone leaves the others, and of a powder or a dye nothing is laid where there is none', () => {
    const plan = laid(white, { ...grain, ink: 'long-gone' });
    expect(plan.coats[1].title).toBe('Brushed grain: Sloe');
    expect(laid(white, { ...crackle, ink: 'long-gone' }).finished['low']).toBe(laid(white).finished['low']);
  });
});

describe('what the check says of it', () => {
  test('unsealed under resin, and sealed by the fix', () => {
    for (const one of [grain, crackle, floated]) {
      const plan = laid(white, one, coat.resin);
      expect(found(plan)).toContain('surface ink unsealed');
      expect(found(laid(white, one, coat.seal, coat.resin))).not.toContain('surface ink unsealed');
      expect(found(laid(white, one))).not.toContain('surface ink unsealed');
    }
  });
  test('on raw glitter', () => {
    const rough = (between: readonly object[]) =>
      found(planOf(designWith([coat.base, coat.brush, coat.glitter, ...between, grain]), workshop));
    expect(rough([])).toContain('surface ink on rough ground');
    expect(rough([coat.resin])).not.toContain('surface ink on rough ground');
  });
  test('crackle that falls short: the fix takes as much as comes up', () => {
    const plan = laid(white, { ...crackle, ml: 0.4 });
    const finding = plan.findings.find(({ rule }) => rule === 'crackle falls short');
    expect(finding?.says).toBe('0.4 ml of ink don’t reach High.');
    const fix = finding?.fix;
    if (fix?.does !== 'set coat') throw new Error('no fix');
    expect(found(laid(white, fix.coat))).not.toContain('crackle falls short');
  });
});

test('the same ink twice, half a drop, too many tones and a knot too many are refused', () => {
  const refused =
    (more: object, kind: object = grain) =>
    () =>
      designWith([{ ...kind, ...more }]);
  expect(refused({ also: [{ ink: 'madder', drops: 2 }] })).toThrow(/Each ink is there once/);
  expect(refused({ drops: 0 })).toThrow(/One drop at least/);
  expect(refused({ drops: 1000 })).toThrow(/nobody counts right/);
  expect(refused({ also: ['sloe', 'tarn', 'marrow', 'fog-lamp'].map((ink) => ({ ink, drops: 1 })) })).toThrow(
    /4 colours are the most/,
  );
  expect(refused({ knots: 40 })).toThrow(/no plank/);
  expect(refused({ cell: 1 }, crackle)).toThrow(/finer than 3 mm/);
  expect(refused({ lands: 0 }, floated)).toThrow(/At least 5 %/);
});

describe('the same on other cups', () => {
  test('on a larger one there is as much more ink, so that it is as deep; whole drops, one at least', () => {
    const design = designWith([white, { ...grain, drops: 12, also: [{ ink: 'sloe', drops: 1 }] }, { ...crackle, ml: 2 }], {
      blends: [],
    });
    const larger = {
      ...design.cup,
      stations: design.cup.stations.map((one) => ({ ...one, circumference: 1.5 * one.circumference })),
    };
    const [, brushed, wrapped] = withCupFitted(design, larger).coats;
    expect(brushed).toMatchObject({ drops: 18, also: [{ drops: 2 }] });
    expect(wrapped).toMatchObject({ ml: 3 });
    const [, back] = withCupFitted({ ...design, cup: larger }, design.cup).coats;
    expect(back).toMatchObject({ drops: 8, also: [{ drops: 1 }] });
    const seen = (on: typeof design) => planOf({ ...on, coats: on.coats.slice(0, 2) }, workshop).finished['low'];
    expect(apart(seen(design), seen(withCupFitted(design, larger)))).toBeLessThan(4);
  });
  test('on three cups at once three times as many drops are counted', () => {
    const design = designWith([white, grain], { blends: [] });
    const { coats } = cupsAtOnce(planOf(design, workshop), design, workshop, 3);
    expect(coats[1].planned.uses.map(({ reads }) => reads)).toEqual(['9 drops', '9 drops']);
  });
});
