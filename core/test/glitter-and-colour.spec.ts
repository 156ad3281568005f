import fc from 'fast-check';
import {
  ColourError,
  coverage,
  deltaE2000,
  dropsFor,
  dyeFilm,
  evenFade,
  faceShares,
  flakeDepth,
  flakeRain,
  flatSpectrum,
  hexOf,
  inkFilm,
  keptDepth,
  labOf,
  layOver,
  linearRgbOf,
  mlForCoverage,
  pearlFilm,
  pigmentFilm,
  pourForCoverage,
  reflectanceOf,
  resinMix,
  typicalFlake,
  type Glitter,
  type Part,
} from '../src';
import { ringOrder } from '../src/ring';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const glitter = fc
  .record({
    colour: hex,
    kind: fc.constantFrom('solid' as const, 'tinted' as const, 'opal' as const),
    opacity: fc.double({ min: 0.05, max: 1, noNaN: true }),
    cut: fc.constantFrom(0.2, 0.4, 1, 2.5),
  })
  .map((one): Glitter => ({ ...one, ...typicalFlake(one.cut) }));
const parts = fc.array(fc.record({ glitter, ml: fc.double({ min: 0.5, max: 20, noNaN: true }) }), { minLength: 1, maxLength: 4 });
const amber: Glitter = { colour: '#f2a03d', kind: 'solid', opacity: 1, cut: 0.4, ...typicalFlake(0.4) };
const black = reflectanceOf('#101010');

describe('spectra', () => {
  test('a reflectance has exactly its colour and no wavelength out of 0..1', () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const spectrum = reflectanceOf(colour);
        expect(Math.min(...spectrum)).toBeGreaterThan(0);
        expect(Math.max(...spectrum)).toBeLessThan(1);
        expect(deltaE2000(labOf(spectrum), labOf(reflectanceOf(hexOf(spectrum))))).toBeLessThan(0.35);
      }),
      { numRuns: 60 },
    );
  });
  test('a perfect white reads white', () => {
    expect(hexOf(flatSpectrum(1))).toBe('#ffffff');
    expect(labOf(flatSpectrum(1))[0]).toBeCloseTo(100, 9);
    linearRgbOf(flatSpectrum(0.5)).forEach((value) => expect(value).toBeCloseTo(0.5, 4));
  });
  test('what is no colour is refused with a way out', () => expect(() => reflectanceOf('orange')).toThrow(ColourError));
});

describe('flake rain', () => {
  test('more pour never leaves more bare, and never less held', () => {
    fc.assert(
      fc.property(
        parts,
        fc.double({ min: 10, max: 800, noNaN: true }),
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        (blend, area, more) => {
          const thin = flakeDepth(blend, area).depth;
          const thick = flakeDepth([...blend, { ...blend[0], ml: more }], area).depth;
          expect(coverage(thick)).toBeGreaterThanOrEqual(coverage(thin));
          expect(keptDepth(thick, 2.4)).toBeGreaterThanOrEqual(keptDepth(thin, 2.4));
          expect(keptDepth(thick, 2.4)).toBeLessThanOrEqual(Math.min(2.4, thick));
        },
      ),
    );
  });
  test('a blend of one is that one, however it is written', () => {
    fc.assert(
      fc.property(glitter, fc.double({ min: 0.1, max: 6, noNaN: true }), (one, depth) => {
        const once = flakeRain([{ glitter: one, ml: 4 }], depth, black);
        const twice = flakeRain(
          [
            { glitter: one, ml: 1 },
            { glitter: one, ml: 3 },
          ],
          depth,
          black,
        );
        once.forEach((value, band) => expect(twice[band]).toBeCloseTo(value, 9));
      }),
      { numRuns: 40 },
    );
  });
  test('nothing poured leaves the base; without end it is the flakes alone', () => {
    expect(flakeRain([{ glitter: amber, ml: 1 }], 0, black)).toBe(black);
    expect(flakeRain([], 3, black)).toBe(black);
    expect(hexOf(flakeRain([{ glitter: amber, ml: 1 }], 5000, black))).toBe('#f2a03d');
    const veil: Glitter = { ...amber, kind: 'tinted', opacity: 0.35 };
    flakeRain([{ glitter: veil, ml: 1 }], 1e6, black).forEach((value) => expect(Number.isFinite(value)).toBe(true));
  });
  // Light between layers makes it not quite linear; no eye could tell.
  test('two pours are one pour of both depths', () => {
    const opal: Part[] = [{ glitter: { ...amber, kind: 'opal', opacity: 0.4 }, ml: 1 }];
    const twice = flakeRain(opal, 0.7, flakeRain(opal, 1.1, black));
    expect(deltaE2000(labOf(flakeRain(opal, 1.8, black)), labOf(twice))).toBeLessThan(0.3);
  });
  test('face shares sum to 1; a cover asked for is a cover reached', () => {
    fc.assert(
      fc.property(parts, fc.double({ min: 0.05, max: 0.99, noNaN: true }), (blend, share) => {
        expect(faceShares(blend).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        const total = blend.reduce((sum, part) => sum + part.ml, 0);
        const ml = mlForCoverage(blend, share, 300);
        const scaled = blend.map((part) => ({ ...part, ml: (part.ml * ml) / total }));
        expect(coverage(flakeDepth(scaled, 300).depth)).toBeCloseTo(share, 9);
      }),
    );
  });
  test('the pour for a cover goes through the glue; too weak a glue says so', () => {
    const poured = pourForCoverage(0.95, 2.4, 2) ?? NaN;
    expect(coverage(2 * keptDepth(poured, 2.4))).toBeCloseTo(0.95, 9);
    expect(pourForCoverage(0.95, 2.4, 1)).toBeNull();
    expect(pourForCoverage(0.95, 0.9, 3)).toBeNull();
  });
});

describe('films', () => {
  test('nothing of a film changes nothing', () => {
    for (const film of [dyeFilm('#2f7fd0', 0), pigmentFilm('#f7f4ee', 0.9, 0), pearlFilm('#3fae8c', 0.5, 0)]) {
      layOver(film, black).forEach((value, band) => expect(value).toBeCloseTo(black[band], 6));
    }
  });
  test('two coats of dye are one of twice the amount; a pearl absorbs nothing', () => {
    const once = dyeFilm('#2f7fd0', 1);
    const twice = layOver(once, layOver(once, flatSpectrum(0.8)));
    layOver(dyeFilm('#2f7fd0', 2), flatSpectrum(0.8)).forEach((value, band) => expect(twice[band]).toBeCloseTo(value, 9));
    const pearl = pearlFilm('#8f6fe0', 0.4, 2);
    pearl.R.forEach((value, band) => expect(value + pearl.T[band]).toBeCloseTo(1, 9));
  });
  test('an ink reads its own colour at its reference', () => {
    const ink = { type: 'dye' as const, colour: '#c2352a', hiding: 0.5, referenceLoad: 1, referenceFilm: 0.35 };
    expect(hexOf(layOver(inkFilm(ink, 1, 0.35), flatSpectrum(1)))).toBe('#c2352a');
    expect(hexOf(layOver(inkFilm({ ...ink, type: 'pigment', hiding: 0.9 }, 20, 2), black))).toBe('#c2352a');
  });
  test('drops are whole, at least one, and say what load they make', () => {
    expect(dropsFor(1, 24, 0.04)).toEqual({ drops: 6, load: 1 });
    expect(dropsFor(0.01, 8, 0.04)).toEqual({ drops: 1, load: 0.5 });
    expect(dropsFor(0, 8, 0.04)).toEqual({ drops: 0, load: 0 });
  });
});

describe('resin', () => {
  test('the mix is enough, on the step, at the ratio, with little wasted', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 900 }),
        fc.double({ min: 0.04, max: 0.8, noNaN: true }),
        fc.constantFrom([1, 1], [2, 1], [3, 1], [3, 2], [1, 2], [100, 83]),
        (area, thickness, ratio) => {
          const mix = resinMix({ area, thickness, ratio: ratio as [number, number] });
          expect(mix.mix).toBeGreaterThanOrEqual(mix.need - 1e-6);
          expect(mix.a * ratio[1]).toBeCloseTo(mix.b * ratio[0], 6);
          const small = Math.min(mix.a, mix.b) / 0.5;
          expect(small).toBeCloseTo(Math.round(small), 6);
          expect(mix.mix).toBeLessThan(mix.need * 1.12 + 2.5);
        },
      ),
    );
  });
});

describe('fades and rings', () => {
  test('a fade starts and ends at its ends and never turns back', () => {
    fc.assert(
      fc.property(glitter, glitter, fc.integer({ min: 2, max: 7 }), (from, to, pots) => {
        const { shares } = evenFade(from, to, pots, 2, black);
        expect([shares[0], shares[pots - 1]]).toEqual([0, 1]);
        shares.slice(1).forEach((share, i) => expect(share).toBeGreaterThanOrEqual(shares[i]));
      }),
      { numRuns: 8 },
    );
  });
  test('a ring holds every colour once, for few and for many', () => {
    for (const count of [1, 2, 3, 7, 15]) {
      const colours = Array.from({ length: count }, (_, i) => `#${((i * 0x3b7f11) % 0xffffff).toString(16).padStart(6, '0')}`);
      expect([...ringOrder(colours).order].sort((a, b) => a - b)).toEqual([...colours.keys()]);
    }
  });
});
