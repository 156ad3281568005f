import fc from 'fast-check';
import {
  boundFacing,
  deltaE2000,
  differenceAtLeast,
  faceShares,
  flakeRain,
  LightEnvelopes,
  liesIn,
  MixColours,
  reflectanceOf,
  typicalFlake,
  type Glitter,
  type Lab,
} from '../src';
import { answered, jar, question, tried } from './plain-mixes';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const cut = fc.constantFrom(0.2, 0.4, 1);
const hiding = fc
  .tuple(hex, cut)
  .map(([colour, mm]): Glitter => ({ colour, kind: 'solid', opacity: 1, cut: mm, ...typicalFlake(mm) }));
const seeThrough = fc
  .tuple(hex, cut, fc.constantFrom<'opal' | 'tinted'>('opal', 'tinted'), fc.double({ min: 0.1, max: 0.9, noNaN: true }))
  .map(([colour, mm, kind, opacity]): Glitter => ({ colour, kind, opacity, cut: mm, ...typicalFlake(mm) }));
describe('the bound that faces a mix', () => {
  const lab = fc.tuple(
    fc.double({ min: 3, max: 97, noNaN: true }),
    fc.double({ min: -90, max: 90, noNaN: true }),
    fc.double({ min: -90, max: 90, noNaN: true }),
  );
  test('holds every colour within the difference, wherever the mix lies', () => {
    const off = fc.double({ min: -25, max: 25, noNaN: true });
    fc.assert(
      fc.property(lab, lab, off, off, off, (target, from, dL, da, db) => {
        const other: Lab = [Math.min(100, Math.max(0, target[0] + dL)), target[1] + da, target[2] + db];
        const bound = boundFacing(target, deltaE2000(target, other) + 0.01, from, 60);
        if (bound) expect(liesIn([bound], other)).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
  test('is the difference itself for a single colour, past the hue of 0 too', () => {
    const anyLab = fc.tuple(lab, lab);
    const exact = (target: Lab, [l, a, b]: Lab) =>
      differenceAtLeast(target, [
        [l, l],
        [a, a],
        [b, b],
      ]) - deltaE2000(target, [l, a, b]);
    fc.assert(
      fc.property(anyLab, ([target, other]) => expect(exact(target, other)).toBeLessThan(1e-9)),
      { numRuns: 2000 },
    );
    // Their mean hue is just past 0°, where the formula knows no blue; once the bound saw it coming round from 275°.
    expect(
      exact(
        [75.50433371061445, 8.853777080723546, 12.81940191138439],
        [88.87335030237216, 48.210386793389866, -69.59399424369576],
      ),
    ).toBeLessThan(1e-9);
  });
  test.each<[Lab, number]>([
    [[70, -60, 50], 9],
    [[45, 70, -60], 9],
    [[80, 5, 75], 5],
    [[50, -70, -20], 3],
  ])('stands close: on the way from %j to grey the first colour outside is little further than %d', (target, within) => {
    const at = (share: number): Lab => [target[0] - 5 * share, target[1] * (1 - share), target[2] * (1 - share)];
    let edge = 0;
    while (deltaE2000(target, at(edge)) < within) edge += 1e-3;
    const bound = boundFacing(target, within, at(edge), 1500);
    let outside = 0;
    while (outside < 1 && bound && liesIn([bound], at(outside))) outside += 1e-3;
    expect(deltaE2000(target, at(outside))).toBeLessThan(within * 1.05);
  });
});

test('the light of any mix of a box lies within the envelope of that box', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(seeThrough, { minLength: 1, maxLength: 3 }),
      fc.array(hiding, { minLength: 1, maxLength: 3 }),
      fc.array(fc.double({ min: 0.02, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }),
      fc.array(share, { minLength: 6, maxLength: 6 }),
      fc.double({ min: 0.3, max: 6, noNaN: true }),
      (through, below, amounts, slack, depth) => {
        const glitters = [...through, ...below];
        const asked = question({ jars: glitters.map((one) => jar(one)), depth });
        const parts = glitters.map((glitter, at) => ({ glitter, ml: amounts[at] }));
        const shares = faceShares(parts);
        const together = shares.slice(through.length).reduce((sum, own) => sum + own, 0);
        const box = {
          through: through.map((_, at) => at),
          hiding: below.map((_, at) => through.length + at),
          shares: [...shares.slice(0, through.length), together].map(
            (own, at) => [own * (1 - slack[at]), own + (1 - own) * slack[5 - at]] as const,
          ),
          strict: null,
        };
        const { middle, off } = new LightEnvelopes(new MixColours(asked)).of(box);
        const seen = flakeRain(parts, depth, asked.under);
        const width = 2 + through.length;
        seen.forEach((light, band) => {
          const sent = below.reduce((sum, { colour }, at) => sum + shares[through.length + at] * reflectanceOf(colour)[band], 0);
          const plain = through.reduce(
            (sum, _, at) => sum + middle[band * width + 2 + at] * shares[at],
            middle[band * width] + middle[band * width + 1] * sent,
          );
          expect(Math.abs(light - plain)).toBeLessThanOrEqual(off[band] + 1e-9);
        });
      },
    ),
    { numRuns: 200 },
  );
});

describe('of see-through and hiding jars together', () => {
  const far = fc.tuple(
    fc.double({ min: 15, max: 90, noNaN: true }),
    fc.integer({ min: -80, max: 80 }),
    fc.integer({ min: -80, max: 80 }),
  );
  test('no mix is nearer than the one found, for colours no jar comes near too', () => {
    fc.assert(
      fc.property(
        fc.array(seeThrough, { minLength: 2, maxLength: 3 }),
        fc.array(hiding, { minLength: 2, maxLength: 4 }),
        far,
        hex,
        (through, below, target, under) => {
          const jars = [...through, ...below].map((one) => jar(one));
          const asked = question({ jars, target, under: reflectanceOf(under) });
          const three = answered(asked).answers[2];
          expect(three.best.difference).toBeCloseTo(tried(asked, 3), 8);
          expect([three.proven, three.bound]).toEqual([true, three.best.difference]);
        },
      ),
      { numRuns: 25 },
    );
  });
});
