import fc from 'fast-check';
import {
  deltaE2000,
  findMix,
  flakeRain,
  labOf,
  liesIn,
  MixQuestionError,
  nearRegion,
  reflectanceOf,
  typicalFlake,
  type Glitter,
  type Lab,
  type MixQuestion,
  type SearchState,
} from '../src';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const glitter = (colour: string, cut: number, see: boolean): Glitter => ({
  colour,
  kind: see ? 'tinted' : 'solid',
  opacity: see ? 0.5 : 1,
  cut,
  ...typicalFlake(cut),
});
const glitters = fc.tuple(hex, fc.constantFrom(0.2, 0.4, 1), fc.boolean()).map(([colour, cut, see]) => glitter(colour, cut, see));
const jar = (one: Glitter, change: Partial<MixQuestion['jars'][0]> = {}) => ({
  glitter: one,
  left: null,
  keep: false,
  ...change,
});
const question = (change: Partial<MixQuestion>): MixQuestion => ({
  target: [60, 20, 40],
  jars: [],
  size: 3,
  total: 4,
  step: 0.5,
  depth: 2.5,
  under: reflectanceOf('#2e3436'),
  closeEnough: 0,
  closeShare: 0,
  ...change,
});

/** Runs a search to its end. */
function answered(asked: MixQuestion): SearchState {
  const search = findMix(asked);
  for (;;) {
    const { value, done } = search.next();
    if (done) return value;
  }
}

/** The nearest mix of exactly so many jars, by trying every one. */
function tried({ jars, total, step, depth, under, target }: MixQuestion, size: number): number {
  const steps = Math.round(total / step);
  let best = Infinity;
  const pick = (from: number, parts: { jar: number; steps: number }[], rest: number): void => {
    if (parts.length === size) {
      if (rest > 0 || jars.some(({ keep }, at) => keep && !parts.some((part) => part.jar === at))) return;
      const rain = flakeRain(
        parts.map((part) => ({ glitter: jars[part.jar].glitter, ml: part.steps * step })),
        depth,
        under,
      );
      best = Math.min(best, deltaE2000(target, labOf(rain)));
      return;
    }
    for (let at = from; at < jars.length; at += 1) {
      const most = Math.min(rest, Math.floor((jars[at].left ?? Infinity) / step));
      for (let w = 1; w <= most; w += 1) pick(at + 1, [...parts, { jar: at, steps: w }], rest - w);
    }
  };
  pick(0, [], steps);
  return best;
}

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
