import fc from 'fast-check';
import {
  cardOf,
  coatSchema,
  deltaE2000,
  dyeTint,
  filmOf,
  itemOf,
  labOf,
  layOver,
  pearlTint,
  pigmentTint,
  planOf,
  reflectanceOf,
  withFix,
  type CoatId,
  type Design,
  type Tint,
  type Workshop,
} from '../src';

import {
  awayAtLeast,
  awayOf,
  nearestDrops,
  seenOver,
  whichInks,
  withInks,
  WORTH_AN_INK,
  type OfferedPots,
  type PotQuestion,
} from '../src/ink-pot';
import { coat, designWith, workshop } from './workshop';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const amount = fc.double({ min: 0.001, max: 3, noNaN: true });
const tint: fc.Arbitrary<Tint> = fc
  .tuple(fc.constantFrom('dye', 'pigment', 'pearl'), hex, fc.double({ min: 0.05, max: 0.95, noNaN: true }), amount)
  .map(([kind, colour, hiding, much]) =>
    kind === 'dye' ? dyeTint(colour, much) : (kind === 'pearl' ? pearlTint : pigmentTint)(colour, hiding, much),
  );
const ground = hex.map(reflectanceOf);
const id = 'coat-1' as CoatId;
const inked = (more: object = {}, paint = 'limewash'): Design =>
  designWith([{ ...coat.base, paint }, { ...coat.ink, ...more }, coat.rest]);
const away = (one: string, other: string) => deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));

describe('inks stirred into one film', () => {
  test('come out alike in any order, and two halves of a drop as the drop', () => {
    fc.assert(
      fc.property(tint, tint, ground, (one, other, under) => {
        const seen = (...tints: Tint[]) => layOver(filmOf(tints), under);
        const [there, back] = [seen(one, other), seen(other, one)];
        const halves = { K: one.K.map((v) => v / 2), S: one.S.map((v) => v / 2) };
        seen(halves, halves).forEach((value, i) => expect(value).toBeCloseTo(seen(one)[i], 9));
        there.forEach((value, i) => expect(value).toBeCloseTo(back[i], 12));
      }),
    );
  });
  test('laid as two coats, two dyes are alike in either order; two pigments aren’t', () => {
    const over = (first: Tint, then: Tint) => labOf(layOver(filmOf([then]), layOver(filmOf([first]), reflectanceOf('#8a8f94'))));
    const [red, blue] = ['#b8312a', '#2a4fb8'];
    expect(deltaE2000(over(dyeTint(red, 0.7), dyeTint(blue, 0.7)), over(dyeTint(blue, 0.7), dyeTint(red, 0.7)))).toBeLessThan(
      1e-6,
    );
    expect(
      deltaE2000(
        over(pigmentTint(red, 0.8, 1), pigmentTint(blue, 0.8, 1)),
        over(pigmentTint(blue, 0.8, 1), pigmentTint(red, 0.8, 1)),
      ),
    ).toBeGreaterThan(10);
  });
  test('what is seen of them over a ground is the film’s, and grows with what is turned back and falls with what is taken', () => {
    fc.assert(
      fc.property(tint, tint, ground, amount, (one, other, under, more) => {
        const film = layOver(filmOf([one, other]), under);
        for (let i = 0; i < film.length; i += 5) {
          const [K, S] = [one.K[i] + other.K[i], one.S[i] + other.S[i]];
          const seen = seenOver(K, S, under[i]);
          expect(seen).toBeCloseTo(film[i], 8);
          expect(seenOver(K, S + more, under[i])).toBeGreaterThanOrEqual(seen - 1e-9);
          expect(seenOver(K + more, S, under[i])).toBeLessThanOrEqual(seen + 1e-9);
        }
      }),
    );
  });
});

/** Every pot of so many inks. */
function nearestOfAll({ dropMl, mostMl, drop, under, target, gloss }: PotQuestion, size: number): number {
  let best = Infinity;
  const pick = (from: number, inks: readonly number[], drops: readonly number[], left: number): void => {
    if (inks.length === size) best = Math.min(best, awayOf(drops, { under, target, drop: inks.map((ink) => drop[ink]), gloss }));
    else
      for (let ink = from; ink < drop.length; ink += 1)
        for (let count = 1; count * dropMl[ink] <= left + 1e-9; count += 1)
          pick(ink + 1, [...inks, ink], [...drops, count], left - count * dropMl[ink]);
  };
  pick(0, [], [], mostMl);
  return best;
}

const question = fc.record({
  under: ground,
  target: hex.map((value) => labOf(reflectanceOf(value))),
  drop: fc.array(
    tint.map(({ K, S }) => ({ K: K.map((v) => v / 6), S: S.map((v) => v / 6) })),
    { minLength: 4, maxLength: 4 },
  ),
  gloss: fc.boolean(),
  dropMl: fc.constant([0.05, 0.04, 0.05, 0.06]),
  mostMl: fc.constant(0.5),
  size: fc.constant(3),
});

function ended<T>(search: Generator<T, T>): T {
  for (;;) {
    const { value, done } = search.next();
    if (done) return value;
  }
}

describe('which drops come nearest', () => {
  test('no pot of a box is nearer than the box is said to be', () => {
    const range = fc.tuple(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 0, max: 6 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
    );
    fc.assert(
      fc.property(question, range, range, (asked, one, other) => {
        const judge = { ...asked, drop: asked.drop.slice(0, 2) };
        const box = [one, other].map(([from, more]) => [from, from + more] as const);
        const inside = [one, other].map(([from, more, share]) => from + Math.round(more * share));
        expect(awayAtLeast(box, judge, Infinity)).toBeLessThanOrEqual(awayOf(inside, judge) + 1e-6);
      }),
      { numRuns: 300 },
    );
  });
  test('they are the nearest of all pots, with one ink, two and three; a further ink only where it is seen', () => {
    fc.assert(
      fc.property(question, (asked) => {
        const { pots } = ended(nearestDrops(asked));
        let last = Infinity;
        for (const size of [1, 2, 3]) {
          const found = pots.find(({ inks }) => inks.length === size);
          const nearest = nearestOfAll(asked, size);
          if (found) expect(found.away).toBeCloseTo(nearest, 6);
          else expect(nearest).toBeGreaterThanOrEqual(last - WORTH_AN_INK - 1e-6);
          last = found?.away ?? last;
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('a pot of several inks on a cup', () => {
  const pots = (design: Design, over: Workshop, wanted: string): OfferedPots['pots'] =>
    ended(whichInks(design, over, { coat: id, place: 'low', wanted, size: 3 })).pots;

  test('solved backwards it is what it was predicted with, and taken it comes out as offered', () => {
    const made = inked({ ink: 'tarn', load: 0.9, also: [{ ink: 'madder', load: 0.6 }] });
    const wanted = planOf(made, workshop).coats[1].seen['low'];
    const best = pots(inked(), workshop, wanted).at(-1);
    if (!best) throw new Error('nothing offered');
    expect(best.away).toBeLessThan(0.5);
    const taken = planOf(withInks(inked(), id, best), workshop).coats[1];
    expect(away(taken.seen['low'], best.seen)).toBeLessThan(0.6);
    expect(taken.drops.map(({ item, count }) => [item, count])).toEqual(best.inks.map(({ ink, drops }) => [ink, drops]));
  });
  test('each ink is counted out, drawn from the shelf and printed; all together they are the load', () => {
    const design = inked({ ink: 'tarn', load: 3.5, also: [{ ink: 'madder', load: 3 }] });
    const plan = planOf(design, workshop);
    expect(plan.coats[1].title).toBe('Tinted resin: Tarn and Madder');
    expect(plan.totals.inks.map(({ item }) => item).sort()).toEqual(['madder', 'tarn']);
    const found = plan.findings.find(({ rule }) => rule === 'ink load');
    expect(found?.says).toMatch(/6\.\d %/);
    if (!found?.fix) throw new Error('no way out');
    const mended = planOf(withFix(design, found.fix, workshop, 'new' as CoatId), workshop);
    expect(mended.findings.map(({ rule }) => rule)).not.toContain('ink load');
    expect(mended.coats[1].drops.reduce((sum, { load }) => sum + load, 0)).toBeCloseTo(3, 0);
    const card = JSON.stringify(cardOf(plan, design, workshop.settings));
    expect(card).toMatch(/drops of Tarn/);
    expect(card).toMatch(/drops of Madder/);
  });
  test('an ink that is gone is told; nothing is offered off an empty shelf, or without resin', () => {
    const gone = inked({ also: [{ ink: 'long-gone', load: 1 }] });
    const told = planOf(gone, workshop).findings.filter(({ rule }) => rule === 'no longer on the shelf');
    expect(told.map(({ says }) => says)).toEqual(['Not all inks of this pot are on the shelf.']);
    const none = planOf(gone, { ...workshop, shelf: [] });
    expect(none.findings.filter(({ says }) => says.includes('inks of this pot'))).toHaveLength(1);
    expect(none.coats[1].does).toContain('Then stir in the ink. Spread');
    expect(itemOf(workshop.shelf, 'long-gone', 'ink')).toBeUndefined();
    const empty = { ...workshop, shelf: workshop.shelf.filter(({ kind }) => kind !== 'ink') };
    expect(pots(inked(), empty, '#123456')).toEqual([]);
    expect(pots(inked({ resin: 'long-gone' }), workshop, '#123456')).toEqual([]);
  });
  test('the same ink twice, and four inks, are refused in words', () => {
    const read = (also: object[]) => coatSchema.safeParse({ ...coat.ink, id: 'a', also }).error?.issues[0].message;
    expect(read([{ ink: 'madder', load: 1 }])).toBeUndefined();
    expect(read([{ ink: coat.ink.ink, load: 1 }])).toMatch(/Each ink is there once/);
    expect(read(['a', 'b', 'c'].map((ink) => ({ ink, load: 1 })))).toMatch(/mud/);
  });
});
