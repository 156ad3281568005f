import fc from 'fast-check';
import {
  bytesOf,
  deltaE2000,
  glossed,
  hexOf,
  inkFilm,
  inkSureness,
  itemOf,
  labOf,
  layOver,
  reflectanceOf,
  shelfItemSchema,
  type InkEffect,
} from '../src';
import { dabLoad, DabError, readDab, spreadFilm, USUAL_CARD, USUAL_LINE, withDab, type InkDab } from '../src/ink-dab';
import { workshop } from './workshop';

const byte = fc.integer({ min: 60, max: 235 });
const colour = fc.tuple(byte, byte, byte).map((bytes) => `#${bytes.map((one) => one.toString(16).padStart(2, '0')).join('')}`);
const grey = byte.map((one) => `#${one.toString(16).padStart(2, '0').repeat(3)}`);
const effect = (type: InkEffect['type']): fc.Arbitrary<InkEffect> =>
  fc.record({
    type: fc.constant(type),
    colour,
    hiding: fc.double({ min: 0.2, max: 0.95, noNaN: true }),
    referenceLoad: fc.double({ min: 0.5, max: 3, noNaN: true }),
    referenceFilm: fc.double({ min: 0.2, max: 0.6, noNaN: true }),
  });
const laid = fc.record({
  drops: fc.integer({ min: 1, max: 12 }),
  resinMl: fc.integer({ min: 5, max: 20 }),
  film: fc.double({ min: 0.15, max: 0.8, noNaN: true }),
  gloss: fc.boolean(),
});
const seenOn = (ink: InkEffect, load: number, film: number, under: string, gloss = false): string => {
  const seen = layOver(inkFilm(ink, load, film), reflectanceOf(under));
  return hexOf(gloss ? glossed(seen) : seen);
};
const apart = (one: string, other: string) => deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));

/** What such a dab of a known ink would look like. */
function dabOf(ink: InkEffect, one: Pick<InkDab, 'drops' | 'resinMl' | 'film' | 'gloss'>): InkDab {
  const dab = {
    ...one,
    type: ink.type,
    dropMl: 0.04,
    filmBy: 'gauge' as const,
    seenBy: 'card' as const,
    white: USUAL_CARD,
    black: USUAL_LINE,
  };
  const over = (under: string) => seenOn(ink, dabLoad(dab), dab.film, under, one.gloss);
  return { ...dab, overWhite: over(USUAL_CARD), overBlack: over(USUAL_LINE) };
}

const madder = itemOf(workshop.shelf, 'madder', 'ink');
if (!madder) throw new Error('no madder');
const sound = dabOf(madder, { drops: 3, resinMl: 10, film: 0.4, gloss: false });

describe('an ink read off a dab', () => {
  // Where a dab shows too little or all there is, another load tells more; that is what readings are told apart by.
  const tells = (dab: InkDab) =>
    apart(dab.overWhite, dab.white) > 6 && apart(dab.overBlack ?? '', dab.black) > (dab.type === 'dye' ? -1 : 6);

  test.each(['dye', 'pigment', 'pearl'] as const)(
    'a %s comes out as what it is over any grey, in half and twice the film',
    (type) => {
      fc.assert(
        fc.property(effect(type), laid, grey, (ink, one, ground) => {
          const dab = dabOf(ink, one);
          fc.pre(type === 'pearl' ? apart(dab.overBlack ?? '', dab.black) > 6 : tells(dab));
          // A film so strong that nothing shows through says its colour, and little of how much less would do.
          const bright = labOf(reflectanceOf(dab.overWhite))[0];
          // Past what a screen shows a colour is cut off: such a dab says less, and weaker ones are made.
          fc.pre(type === 'pearl' || bytesOf(dab.overWhite).every((byte) => byte > 20 && byte < 255));
          fc.pre(bright > 20 && (type !== 'pigment' || apart(dab.overWhite, dab.overBlack ?? '') > 6));
          const read = readDab(dab, 0.5);
          expect(read.away).toBeLessThan(4.5);
          expect(read.looksLike).toBeNull();
          expect(
            apart(
              seenOn(ink, dabLoad(dab), one.film, ground, one.gloss),
              seenOn(read.effect, dabLoad(dab), one.film, ground, one.gloss),
            ),
          ).toBeLessThan(4);
          for (const more of [0.5, 2]) {
            const [there, back] = [ink, read.effect].map((own) =>
              seenOn(own, dabLoad(dab), one.film * more, USUAL_LINE, one.gloss),
            );
            if (type !== 'dye') expect(apart(there, back)).toBeLessThan(6);
          }
        }),
        // The same inks each time: of random ones about one in a thousand is off by a little over 4.
        { numRuns: type === 'pigment' ? 15 : 60, seed: 11 },
      );
    },
  );
  test('goes on the shelf as it was read, and is surer than a usual one', () => {
    const read = readDab(sound, madder.hiding);
    const item = shelfItemSchema.parse(withDab(madder, sound, read));
    expect(item).toMatchObject({ basis: 'dab', referenceLoad: 1.2, referenceFilm: 0.4, type: 'dye' });
    if (item.kind !== 'ink') throw new Error('no ink');
    expect(inkSureness(item).colour).toBeLessThan(inkSureness(madder).colour);
    expect(inkSureness(item).strength).toBeLessThan(inkSureness(madder).strength);
    // At the load and film it was read at it looks as the dab did.
    expect(apart(seenOn(item, 1.2, 0.4, USUAL_CARD), sound.overWhite)).toBeLessThan(1);
  });
  test('a pigment said to be a dye is told, and so is a dye said to be a pearl', () => {
    const white = itemOf(workshop.shelf, 'chalk-white', 'ink');
    if (!white) throw new Error('no white');
    const dab = dabOf({ ...white, colour: '#c8a060' }, { drops: 5, resinMl: 8, film: 0.4, gloss: false });
    expect(readDab({ ...dab, type: 'dye' }, 0.5).looksLike).toBe('pigment');
    expect(readDab(dab, 0.5).looksLike).toBeNull();
  });
});

describe('how sure a dab makes it', () => {
  const strength = (more: Partial<InkDab>) => readDab({ ...sound, ...more }, 0.5).sure.strength;

  test('what it advises makes it surer', () => {
    const follow: Readonly<Record<string, Partial<InkDab>>> = {
      card: { seenBy: 'card' },
      gauge: { filmBy: 'gauge' },
      twice: { drops: 2 * sound.drops, resinMl: 2 * sound.resinMl },
    };
    const cases: readonly (readonly [Partial<InkDab>, RegExp, keyof typeof follow])[] = [
      [{ seenBy: 'photo' }, /card in it would/, 'card'],
      [{ filmBy: 'guess' }, /with a gauge/, 'gauge'],
      [{}, /twice the drops/, 'twice'],
    ];
    for (const [more, says, step] of cases) {
      const dab = { ...sound, ...more };
      const read = readDab(dab, 0.5);
      expect(read.narrows).toMatch(says);
      const then = readDab({ ...dab, ...follow[step] }, 0.5).sure;
      expect(then.colour * then.strength).toBeLessThan(0.95 * read.sure.colour * read.sure.strength);
    }
    const blind = { ...dabOf({ ...madder, type: 'pigment' }, sound), overBlack: null };
    expect(readDab(blind, 0.5).narrows).toMatch(/over a black line would tell/);
    expect(readDab(blind, 0.37).effect.hiding).toBeCloseTo(0.37, 2);
  });
  test('of a thousand bottles it covers what uneven drops, a small measure and a gauge really do', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 2, max: 20 }), (drops, resinMl) => {
        const said = strength({ drops, resinMl, film: 0.4, filmBy: 'gauge' });
        let [within, seed] = [0, drops * 100 + resinMl];
        const chance = () => {
          // Twelve even chances add up to a normal one.
          let sum = -6;
          for (let i = 0; i < 12; i += 1) {
            seed = (seed * 48271) % 2147483647;
            sum += seed / 2147483647;
          }
          return sum;
        };
        for (let bottle = 0; bottle < 1000; bottle += 1) {
          let ml = 0;
          for (let drop = 0; drop < drops; drop += 1) ml += 1 + 0.12 * chance();
          const off = (ml / drops) * (1 + (0.02 / 0.4) * chance()) * (1 / (1 + (0.2 / resinMl) * chance()));
          if (Math.abs(off - 1) < 2 * said) within += 1;
        }
        expect(within).toBeGreaterThan(920);
        expect(within).toBeLessThan(995);
      }),
      { numRuns: 20 },
    );
  });
  test('a film spread from so many ml over so many cm² is as thick as that', () => {
    expect(spreadFilm(2, 50)).toBeCloseTo(0.4, 12);
  });
});

test.each<[string, Partial<InkDab>, RegExp]>([
  ['no drop', { drops: 0 }, /one at least/],
  ['half a drop', { drops: 1.5 }, /whole drops/],
  ['a thousand drops', { drops: 1000 }, /nobody counts right/],
  ['no drop size', { dropMl: 0 }, /how much one drop/],
  ['no resin', { resinMl: 0 }, /0\.5 to 200 ml/],
  ['no film', { film: 0 }, /0\.05 to 2 mm/],
  ['more ink than resin', { drops: 80, resinMl: 2 }, /160 % of ink/],
  ['a dark card', { white: '#555555' }, /card is too dark/],
  ['a grey line', { black: '#999999' }, /line isn’t dark enough/],
  ['nothing to be seen of it', { overWhite: USUAL_CARD }, /can’t be told from the card/],
  ['a pearl with no line', { type: 'pearl', overBlack: null }, /shows over dark/],
  ['a pearl that isn’t seen', { type: 'pearl', overBlack: USUAL_LINE }, /can’t be told from the line/],
])('a dab with %s is refused with a way out', (_, more, says) => {
  expect(() => readDab({ ...sound, ...more }, 0.5)).toThrow(DabError);
  expect(() => readDab({ ...sound, ...more }, 0.5)).toThrow(says);
});
