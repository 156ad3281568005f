import fc from 'fast-check';
import {
  cheapestMix,
  coverCost,
  deltaE2000,
  facePerMl,
  findMix,
  flakeRain,
  itemOf,
  labOf,
  liesIn,
  MixQuestionError,
  nearRegion,
  reflectanceOf,
  shelfSearch,
  typicalFlake,
  type Glitter,
  type Lab,
  type MixQuestion,
  type SearchState,
  type ShelfWish,
} from '../src';
import { answered, everyMix, jar, question, tried } from './plain-mixes';
import { workshop } from './workshop';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const glitter = (colour: string, cut: number, see: boolean): Glitter => ({
  colour,
  kind: see ? 'tinted' : 'solid',
  opacity: see ? 0.5 : 1,
  cut,
  ...typicalFlake(cut),
});
const glitters = fc.tuple(hex, fc.constantFrom(0.2, 0.4, 1), fc.boolean()).map(([colour, cut, see]) => glitter(colour, cut, see));
describe('colours near a target', () => {
  const lab = fc.tuple(
    fc.double({ min: 3, max: 97, noNaN: true }),
    fc.double({ min: -70, max: 70, noNaN: true }),
    fc.double({ min: -70, max: 70, noNaN: true }),
  );
  const near = fc.double({ min: -12, max: 12, noNaN: true });
  test('none within the difference lies outside the bounds', () => {
    fc.assert(
      fc.property(lab, near, near, near, fc.double({ min: 0, max: 3, noNaN: true }), (target, dL, da, db, more) => {
        const other: Lab = [Math.min(100, Math.max(0, target[0] + dL)), target[1] + da, target[2] + db];
        expect(liesIn(nearRegion(target, deltaE2000(target, other) + more), other)).toBe(true);
      }),
      { numRuns: 400 },
    );
  });
  test('however far a shelf is from a colour, some of what is further is ruled out', () => {
    const lab2 = fc.tuple(lab, lab, fc.double({ min: 12, max: 30, noNaN: true }));
    fc.assert(
      fc.property(lab2, ([target, other, within]) => {
        const bounds = nearRegion(target, within);
        if (deltaE2000(target, other) <= within) expect(liesIn(bounds, other)).toBe(true);
      }),
      { numRuns: 200 },
    );
    const black: Lab = [2, 0, 0];
    expect(deltaE2000(black, [60, 0, 0])).toBeGreaterThan(20);
    expect(liesIn(nearRegion(black, 20), [60, 0, 0])).toBe(false);
  });
  test('they are narrow: a colour four times as far is mostly outside', () => {
    const outside = (target: Lab) => {
      const bounds = nearRegion(target, 1);
      const around = Array.from({ length: 200 }, (_, i): Lab => {
        const turn = i * 2.4;
        const height = (i % 21) / 10 - 1;
        const flat = Math.sqrt(1 - height * height);
        const far = (reach: number): Lab => [
          target[0] + reach * height,
          target[1] + reach * flat * Math.cos(turn),
          target[2] + reach * flat * Math.sin(turn),
        ];
        let reach = 1;
        while (deltaE2000(target, far(reach)) < 4) reach *= 1.05;
        return far(reach);
      });
      return around.filter((one) => !liesIn(bounds, one)).length / around.length;
    };
    expect(outside([60, 20, 40])).toBeGreaterThan(0.8);
    expect(outside([30, 10, -40])).toBeGreaterThan(0.8);
    expect(outside([90, 0, 5])).toBeGreaterThan(0.8);
  });
});

describe('the nearest mix', () => {
  test('is that of trying every one, for each size, see-through jars and all', () => {
    fc.assert(
      fc.property(fc.array(glitters, { minLength: 3, maxLength: 5 }), hex, (shelf, target) => {
        const asked = question({ jars: shelf.map((one) => jar(one)), target: labOf(reflectanceOf(target)) });
        const { answers } = answered(asked);
        expect(answers.map(({ size }) => size)).toEqual([1, 2, 3]);
        for (const { size, best, proven, bound } of answers) {
          expect(best.difference).toBeCloseTo(tried(asked, size), 8);
          expect(best.parts).toHaveLength(size);
          expect(best.parts.reduce((sum, { steps }) => sum + steps, 0)).toBe(8);
          expect([proven, bound]).toEqual([true, best.difference]);
        }
      }),
      { numRuns: 16 },
    );
  });
  test('keeps the jar it must keep, and takes no more than there is', () => {
    fc.assert(
      fc.property(fc.array(glitters, { minLength: 4, maxLength: 5 }), hex, fc.nat(3), (shelf, target, kept) => {
        const jars = shelf.map((one, at) => jar(one, { keep: at === kept, left: at % 2 === 0 ? 1.6 : null }));
        const asked = question({ jars, target: labOf(reflectanceOf(target)) });
        for (const { size, best } of answered(asked).answers) {
          expect(best.parts.some((part) => part.jar === kept)).toBe(true);
          expect(best.parts.every((part) => part.steps <= (jars[part.jar].left === null ? 8 : 3))).toBe(true);
          expect(best.difference).toBeCloseTo(tried(asked, size), 8);
        }
      }),
      { numRuns: 12 },
    );
  });
  test('four jars of nine, proven but for what no eye sees', () => {
    const shelf = ['#d98a2f', '#8c3a17', '#2e3436', '#4a5a6a', '#e0b13a', '#3d6b4a', '#7a2f4e', '#f2f0e6', '#b04fc4'];
    const asked = question({ jars: shelf.map((colour) => jar(glitter(colour, 0.4, false))), size: 4, closeEnough: 0.05 });
    const four = answered(asked).answers[3];
    expect(four.proven).toBe(true);
    expect(four.best.difference - tried(asked, 4)).toBeLessThan(0.05);
  });
  test('with see-through jars a colour out of reach is proven but for what no eye sees, and that much is said', () => {
    const shelf = ['#d98a2f', '#8c3a17', '#2e3436', '#4a5a6a', '#e0b13a', '#3d6b4a', '#7a2f4e', '#b04fc4'];
    const jars = shelf.map((colour, at) => jar(glitter(colour, 0.4, at % 3 === 1)));
    const asked = question({ jars, target: [60, -70, -50], closeEnough: 0.5, closeShare: 0.1 });
    for (const { size, best, bound, proven } of answered(asked).answers) {
      expect(proven).toBe(true);
      expect(best.difference).toBeGreaterThan(8);
      const nearest = tried(asked, size);
      expect(nearest).toBeGreaterThanOrEqual(bound - 1e-9);
      expect(best.difference - nearest).toBeLessThanOrEqual(0.5 + 0.1 * best.difference);
    }
  });
  test('the bound only rises and the best only falls while it searches', () => {
    const shelf = ['#d98a2f', '#8c3a17', '#2e3436', '#4a5a6a', '#e0b13a', '#3d6b4a', '#7a2f4e', '#b04fc4'];
    const asked = question({ jars: shelf.map((colour, at) => jar(glitter(colour, 0.4, at === 7))), target: [70, -40, 10] });
    let last = { size: 0, bound: 0, best: Infinity };
    for (const { answers } of findMix(asked)) {
      const { size, bound, best } = answers[answers.length - 1];
      expect(bound).toBeLessThanOrEqual(best.difference);
      if (size === last.size) {
        expect(bound).toBeGreaterThanOrEqual(last.bound);
        expect(best.difference).toBeLessThanOrEqual(last.best);
      }
      last = { size, bound, best: best.difference };
    }
    expect(last.size).toBe(3);
  });
  test.each([
    [{ jars: [] }, /put jars on the shelf/],
    [{ target: [NaN, 0, 0] as const }, /choose one/],
    [{ depth: 0 }, /no glitter is seen/],
    [{ size: 9 }, /1 to 5 jars/],
    [{ step: 0.001 }, /larger spoon/],
    [{ total: 0 }, /at least one spoon/],
  ])('a question that can’t be is a sentence: %j', (change, sentence) => {
    const asked = question({ jars: [jar(glitter('#d98a2f', 0.4, false))], ...change });
    expect(() => answered(asked)).toThrow(MixQuestionError);
    expect(() => answered(asked)).toThrow(sentence);
  });
});

describe('the cheapest mix near enough', () => {
  const within = 6;
  const cheapest = (asked: MixQuestion, prices: readonly number[], below = Infinity) => {
    const search = cheapestMix({ ...asked, prices, within, below });
    for (;;) {
      const { value, done } = search.next();
      if (done) return value.answers;
    }
  };
  const cost = (asked: MixQuestion, prices: readonly number[], parts: readonly { jar: number; steps: number }[]) =>
    parts.reduce((sum, { jar, steps }) => sum + steps * prices[jar], 0) /
    parts.reduce((sum, { jar, steps }) => sum + steps * facePerMl(asked.jars[jar].glitter), 0);

  test('is that of trying every one, see-through jars and all, and costs less with each jar more', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(glitters, fc.integer({ min: 1, max: 90 })), { minLength: 4, maxLength: 5 }),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 3, maxLength: 3 }),
        (given, weights) => {
          const jars = given.map(([one]) => jar(one));
          const prices = given.map(([, price]) => price / 100);
          const under = reflectanceOf('#2e3436');
          const parts = weights.map((ml, i) => ({ glitter: jars[i].glitter, ml }));
          const asked = question({ jars, size: 3, target: labOf(flakeRain(parts, 2.5, under)) });
          const near = [1, 2, 3].flatMap((size) => [...everyMix(asked, size)]).filter(({ difference }) => difference <= within);
          const least = near.reduce((best, mix) => Math.min(best, cost(asked, prices, mix.parts)), Infinity);
          const answers = cheapest(asked, prices);
          const costs = answers.map(({ best }) => cost(asked, prices, best.parts));
          expect(costs).toEqual([...costs].sort((one, other) => other - one));
          if (near.length > 0) expect(costs.at(-1)).toBeCloseTo(least, 12);
          else expect(answers).toEqual([]);
        },
      ),
      { numRuns: 25 },
    );
  });
  test('nothing is found that costs what the mix costs now', () => {
    const jars = ['#d98a2f', '#8c3a1f'].map((colour) => jar(glitter(colour, 0.4, false)));
    const asked = question({ jars, size: 2, target: labOf(reflectanceOf('#8c3a1f')) });
    const [{ best }] = cheapest(asked, [0.1, 0.1]);
    expect(cheapest(asked, [0.1, 0.1], cost(asked, [0.1, 0.1], best.parts))).toEqual([]);
  });
  test('jars without a price are left out, and what it costs is for the same cover', () => {
    const shelf = workshop.shelf.map((item) => (item.id === 'rust-road' ? { ...item, paid: null } : item));
    const wish: ShelfWish = {
      target: '#b06a30',
      size: 3,
      total: 12.5,
      step: 0.5,
      depth: 3,
      under: '#1b1b1f',
      keep: [],
      without: [],
      onlyFine: false,
      onlyLeft: true,
      cheapest: { within: 4, below: null },
    };
    const search = shelfSearch(wish, shelf);
    let step = search.next();
    while (!step.done) step = search.next();
    const { mixes, over } = step.value;
    expect(over).toBe(true);
    expect(mixes.length).toBeGreaterThan(0);
    for (const mix of mixes) {
      expect(mix.difference).toBeLessThanOrEqual(4);
      expect(mix.parts.map(({ name }) => name)).not.toContain('Rust Road');
      const parts = mix.parts.flatMap(({ item, ml }) => {
        const found = itemOf(shelf, item, 'glitter');
        return found ? [{ item: found, ml }] : [];
      });
      expect(mix.coverCost).toBeCloseTo(coverCost(parts) ?? NaN, 9);
    }
  });
});

test('a search with see-through jars ends once it has found one near enough: nothing that is left would be worth it', () => {
  const all = Array.from({ length: 24 }, (_, i) =>
    glitter(`#${((i * 2654435761) % 0x1000000).toString(16).padStart(6, '0')}`, 0.4, i % 2 === 0),
  );
  const under = reflectanceOf('#2e3436');
  const parts = [0, 5, 10, 15].map((i, at) => ({ glitter: all[i], ml: 0.5 + at * 0.5 }));
  const target = labOf(flakeRain(parts, 2.5, under));
  const search = findMix(question({ target, jars: all.map((one) => jar(one)), size: 4, total: 5, under, closeEnough: 1 }));
  const enough = ({ answers }: SearchState) => answers.some(({ size, best }) => size === 4 && best.difference < 1);
  let after = 0;
  for (;;) {
    const { value, done } = search.next();
    if (enough(value)) after += 1;
    if (!done) continue;
    expect(enough(value)).toBe(true);
    expect(value.answers.every(({ proven, best, bound }) => proven && bound >= best.difference - 1 - 1e-9)).toBe(true);
    break;
  }
  // The state that shows it, and the end.
  expect(after).toBeLessThanOrEqual(3);
});
