import fc from 'fast-check';
import {
  afterMovement,
  movementSchema,
  balanced,
  colourBefore,
  comparedBlends,
  deltaE2000,
  differenceWords,
  factOf,
  faceShares,
  facePerMl,
  flakeRain,
  foundOnShelf,
  gramsPerMl,
  insteadOf,
  labOf,
  glitterSchema,
  leftoverItem,
  LedgerError,
  linearRgbOfHex,
  mixedGlitter,
  mlForBare,
  mlOfScarcest,
  narrowed,
  PatchError,
  planOf,
  readHex,
  reflectanceOf,
  restsOn,
  scaledBlend,
  startingItem,
  weighedShare,
  WeighingError,
  type ItemOf,
  type ShelfItemId,
} from '../src';
import { blendOf, demoFile, jar, workshop } from './workshop';

const { shelf } = workshop;
const eaves = blendOf('copper-eaves', 'Eaves');

describe('a leftover mix', () => {
  const parts = ['penny-rain', 'brickfield', 'rust-road'].map((id, i) => ({ glitter: jar(id).flake, ml: 2 + i }));
  const mixed = mixedGlitter(parts);
  test('covers and weighs, spoon for spoon, as what it was mixed from', () => {
    const ml = parts.reduce((sum, part) => sum + part.ml, 0);
    expect(facePerMl(mixed)).toBeCloseTo(parts.reduce((sum, part) => sum + part.ml * facePerMl(part.glitter), 0) / ml, 9);
    expect(gramsPerMl(mixed)).toBeCloseTo(parts.reduce((sum, part) => sum + part.ml * gramsPerMl(part.glitter), 0) / ml, 9);
  });
  test('is seen as the mix is, whatever lies under it', () => {
    for (const under of ['#ffffff', '#2e3436', '#8c3a17'].map(reflectanceOf)) {
      const one = labOf(flakeRain([{ glitter: mixed, ml: 1 }], 2, under));
      expect(deltaE2000(one, labOf(flakeRain(parts, 2, under)))).toBeLessThan(0.3);
    }
  });
  test('looks as it lies deep whatever was mixed: opals, see-through flakes and opaque ones', () => {
    const some = shelf.filter((item): item is ItemOf<'glitter'> => item.kind === 'glitter');
    const off: number[] = [];
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...some), { minLength: 2, maxLength: 4, selector: ({ id }) => id }),
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 }),
        (jars, spoons) => {
          const of = jars.map(({ flake }, i) => ({ glitter: flake, ml: spoons[i] }));
          const one = mixedGlitter(of);
          expect(glitterSchema.safeParse(one).success).toBe(true);
          const under = reflectanceOf('#808080');
          const apart = deltaE2000(labOf(flakeRain([{ glitter: one, ml: 1 }], 12, under)), labOf(flakeRain(of, 12, under)));
          off.push(apart);
          // Much of an opal, which lets through what it doesn't send back, with a little of what swallows it: no one kind of flake does both.
          const both = of.some(({ glitter }) => glitter.kind === 'opal') && of.every(({ glitter }) => glitter.opacity < 1);
          expect(apart).toBeLessThan(both ? 6 : 3);
          if (of.every(({ glitter }) => glitter.opacity === 1)) expect(one.opacity).toBe(1);
        },
      ),
      { numRuns: 60 },
    );
    off.sort((a, b) => a - b);
    expect(off[Math.floor(off.length / 2)]).toBeLessThan(0.5);
  });
  test('is a jar that says what it came from', () => {
    const item = leftoverItem('x' as ShelfItemId, 'Eaves leftover', parts, 4, 'Eaves of Copper Eaves');
    expect(item).toMatchObject({ left: 4, basis: 'typical', note: expect.stringContaining('Eaves of Copper Eaves') as string });
  });
});

describe('a blend at another amount', () => {
  test('goes up to the spoon, and says what that does to its colour', () => {
    const scaled = scaledBlend(eaves, shelf, eaves.ml * 1.37, 0.5);
    for (const [i, part] of scaled.parts.entries()) {
      expect((part.ml / 0.5) % 1).toBeCloseTo(0, 9);
      expect(part.ml - eaves.parts[i].ml * 1.37).toBeGreaterThanOrEqual(-1e-9);
      expect(part.ml - eaves.parts[i].ml * 1.37).toBeLessThan(0.5);
    }
    expect(scaled.rounding).toBeGreaterThan(0);
    expect(scaledBlend(eaves, shelf, eaves.ml * 2, 0.5).rounding).toBeCloseTo(0, 9);
  });
  test('for a bare share leaves just that once poured', () => {
    const ml = mlForBare(eaves, 0.1) ?? 0;
    const { design, settings } = demoFile('copper-eaves');
    const blends = design.blends.map((blend) =>
      blend.area === eaves.area
        ? { ...blend, parts: blend.parts.map((part) => ({ ...part, ml: (part.ml * ml) / eaves.ml })) }
        : blend,
    );
    const again = planOf({ ...design, blends }, { shelf, settings }).blends.find(({ area }) => area === eaves.area);
    expect(again?.bare).toBeCloseTo(0.1, 6);
    expect(mlForBare(eaves, 1e-6)).toBeNull();
  });
  test('of what is left uses up the scarcest over all passes', () => {
    const few = shelf.map((item) => (item.id === 'lamp-oil' ? { ...item, left: 9 } : item));
    const scarcest = mlOfScarcest(eaves, few);
    expect(scarcest?.name).toBe('Lamp Oil');
    const lamp = eaves.parts.find(({ name }) => name === 'Lamp Oil')?.ml ?? 0;
    expect((((scarcest?.ml ?? 0) * lamp) / eaves.ml) * eaves.passes).toBeCloseTo(9, 9);
    expect(
      mlOfScarcest(
        eaves,
        shelf.map((item) => ({ ...item, left: null })),
      ),
    ).toBeNull();
  });
});

describe('how sure a prediction is', () => {
  test('it narrows once the jar that matters most is weighed', () => {
    expect(eaves.spread.narrows).toMatch(/^Weighing a level spoon of (Penny Rain|Brickfield|Lamp Oil) would narrow it most\.$/);
    const weighed = blendOf(
      'copper-eaves',
      'Eaves',
      shelf.map((item) => (item.kind === 'glitter' ? { ...item, basis: 'weighed' as const } : item)),
    );
    expect(weighed.spread.colour).toBeLessThan(eaves.spread.colour);
    expect(weighed.spread.bare).toBeLessThan(eaves.spread.bare);
    expect(weighed.spread.narrows).toBe('Weighing the cup before and after a pour would narrow it most.');
  });
  test('each pass leaves less bare, and its own pass is the one predicted', () => {
    const bare = eaves.sweep.map((one) => one.bare);
    expect([...bare].sort((a, b) => b - a)).toEqual(bare);
    expect(eaves.sweep[eaves.passes - 1]).toMatchObject({ seen: eaves.seen });
  });
  test('what is known and a measurement meet in between, the surer one nearer', () => {
    const { value, spread } = narrowed(10, 2, 13, 1);
    expect(value).toBeCloseTo(12.4, 9);
    expect(spread).toBeLessThan(1);
  });
});

describe('a weighed spoon', () => {
  test('moves the solid share most of the way to what it weighs', () => {
    const { flake } = jar('penny-rain');
    const share = weighedShare(flake, 'typical', 5, 5 * 0.36 * flake.density);
    expect(share).toBeGreaterThan(0.345);
    expect(share).toBeLessThan(0.36);
    expect(restsOn({ ...jar('penny-rain'), basis: 'weighed' })).toMatch(/weighed spoon/);
  });
  test('that can’t be of glitter is refused', () => {
    expect(() => weighedShare(jar('penny-rain').flake, 'typical', 5, 40)).toThrow(WeighingError);
    expect(() => weighedShare(jar('penny-rain').flake, 'typical', 5, 0.1)).toThrow(/Check the spoon/);
    for (const [spoon, grams] of [
      [0, 2],
      [5, 0],
      [5, -2],
    ])
      expect(() => weighedShare(jar('penny-rain').flake, 'typical', spoon, grams)).toThrow(/above nothing/);
  });
});

describe('finding on the shelf', () => {
  const find = (search: Partial<Parameters<typeof foundOnShelf>[1]>) =>
    foundOnShelf(shelf, { words: '', colour: null, cut: null, ...search }, factOf).map(({ item }) => item.name);
  test('by words of name, note and facts, all of them', () => {
    expect(find({ words: 'RAIN' })).toEqual(['Penny Rain']);
    expect(find({ words: 'shifts gold' })).toEqual(['Lamp Oil']);
    expect(find({ words: 'holographic opal' })).toEqual(['First Frost']);
    expect(find({ words: 'nothing of the kind' })).toEqual([]);
  });
  test('by colour the nearest first, without what has none', () => {
    expect(find({ colour: jar('quarry-moss').flake.colour })[0]).toBe('Quarry Moss');
    expect(find({ colour: '#888888' })).not.toContain('Slow 1:1');
  });
  test('by cut, glitter only', () => {
    expect(new Set(find({ cut: [0, 0.2] }))).toEqual(new Set(['Brickfield', 'Candle End']));
  });
});

describe('instead of a jar', () => {
  test('comes what is nearest in colour, cut and effect, and what differs is said', () => {
    const twin: ItemOf<'glitter'> = { ...jar('penny-rain'), id: 'twin' as ShelfItemId, name: 'Twin' };
    const coarse: ItemOf<'glitter'> = {
      ...twin,
      id: 'coarse' as ShelfItemId,
      name: 'Coarse',
      flake: { ...twin.flake, cut: 2.5 },
    };
    const found = insteadOf(jar('penny-rain'), [...shelf, coarse, twin]);
    expect(found.map(({ item }) => item.name).slice(0, 1)).toEqual(['Twin']);
    expect(found[0].unlike).toBe('');
    expect(found).toHaveLength(3);
    expect(insteadOf(jar('penny-rain'), [coarse])[0].unlike).toBe('coarser');
  });
  test('a blend that lost a jar is matched to the colour it had', () => {
    const left = shelf.filter(({ id }) => id !== 'brickfield');
    const lost = blendOf('copper-eaves', 'Eaves', left);
    const before = colourBefore(lost, shelf, left);
    expect(deltaE2000(labOf(reflectanceOf(before)), eaves.lab)).toBeLessThan(1.5);
    expect(deltaE2000(lost.lab, eaves.lab)).toBeGreaterThan(5);
  });
});

describe('the ledger', () => {
  test('takes what went, adds what came, and never below nothing', () => {
    const item = { ...startingItem('paint', 'x'), left: 10 };
    expect(afterMovement(item, { why: 'spilt', amount: 2.5 }).left).toBe(7.5);
    expect(afterMovement({ ...item, left: null }, { why: 'bought', amount: 40 }).left).toBe(40);
    expect(afterMovement(item, { why: 'counted anew', amount: 3 }).left).toBe(3);
    expect(() => afterMovement(item, { why: 'used on a cup', amount: 11 })).toThrow(LedgerError);
    for (const amount of [-5, Number.NaN])
      expect(movementSchema.safeParse({ why: 'spilt', amount }).error?.issues[0].message).toMatch(/0 or more/);
  });
});

describe('colours of photos', () => {
  test('a card in the same light sets a colour right', () => {
    // The same lamp on both: each primary dimmed by its own share.
    const hex = fc.integer({ min: 0x202020, max: 0xe0e0e0 }).map((value) => `#${value.toString(16)}`);
    fc.assert(
      fc.property(hex, (colour) => {
        const lamp = [0.9, 0.7, 0.4];
        const dimmed = (of: string) =>
          `#${linearRgbOfHex(of)
            .map((value, axis) =>
              Math.round(255 * gamma(value * lamp[axis]))
                .toString(16)
                .padStart(2, '0'),
            )
            .join('')}`;
        const right = linearRgbOfHex(balanced(dimmed(colour), { seen: dimmed('#f4f4f2'), is: '#f4f4f2' }));
        linearRgbOfHex(colour).forEach((value, axis) => expect(Math.abs(right[axis] - value)).toBeLessThan(0.03));
      }),
    );
  });
  test('a patch that is burnt out or black is no measure', () => {
    expect(() => balanced('#808080', { seen: '#ffffff', is: '#f4f4f2' })).toThrow(PatchError);
    expect(() => balanced('#808080', { seen: '#050505', is: '#777777' })).toThrow(/too dark/);
  });
  test('colours are read as makers write them', () => {
    expect(['#C2470F', 'c2470f', ' #abc ', 'reddish', '#12345'].map(readHex)).toEqual([
      '#c2470f',
      '#c2470f',
      '#aabbcc',
      null,
      null,
    ]);
  });
});

test('differences have a word each, and pairs come nearest first', () => {
  expect([0.5, 3, 7, 20].map((value) => differenceWords(value).word)).toEqual([
    'no visible difference',
    'slight difference',
    'clear difference',
    'far apart',
  ]);
  const { design, settings } = demoFile('thistle-weave');
  const pairs = comparedBlends(planOf(design, { shelf, settings }).blends.slice(0, 4));
  expect(pairs).toHaveLength(6);
  expect(pairs.map(({ difference }) => difference)).toEqual(pairs.map(({ difference }) => difference).sort((a, b) => a - b));
  expect(faceShares([])).toEqual([]);
});

const gamma = (value: number): number => (value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055);
