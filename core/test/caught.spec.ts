import fc from 'fast-check';
import { keptDepth, type ShelfItemId } from '../src';
import { caughtOf, jarForCaught } from '../src/make';
import { coatOf, made } from './made';
import { demoNames, workshop } from './workshop';

const make = made('copper-eaves');
const glitter = coatOf(make, 'glitter');

test.each(demoNames)('%s: what glue keeps and what is caught is all that was poured, however much that was', (name) => {
  const one = made(name, 3);
  const steps = one.steps.filter(({ kind }) => kind === 'glitter');
  fc.assert(
    fc.property(fc.constantFrom(...steps), fc.double({ min: 0.05, max: 6, noNaN: true }), (step, times) => {
      const poured = Object.fromEntries(step.amounts.map(({ key, amount }) => [key, amount * times]));
      for (const caught of caughtOf(one, step, poured)) {
        expect(caught.expected).toBeGreaterThanOrEqual(0);
        expect(caught.expected).toBeLessThan(caught.poured);
        const deep = step.flakes?.pours.find(({ place }) => place === caught.place)?.deep ?? 0;
        const glue = one.shelf.find(({ id }) => id === step.flakes?.glue);
        const hold = glue?.kind === 'glue' ? glue.hold : NaN;
        // Poured so many times deep, the glue keeps what its hold lets it.
        expect(caught.poured - caught.expected).toBeCloseTo((caught.poured * keptDepth(deep * times, hold)) / (deep * times), 6);
      }
    }),
    { numRuns: 20 },
  );
});

test('what is of one jar goes back into it; a mix goes into a jar of its own, and next time into the same', () => {
  const [mix] = caughtOf(make, glitter, {}).filter(({ parts }) => parts.length > 1);
  const id = 'new' as ShelfItemId;
  const first = jarForCaught(make, mix, workshop.shelf, id);
  expect(first).toMatchObject({ isNew: true, jar: { id, left: 0, name: `Leftover of Copper Eaves, ${mix.name}` } });
  if (!first) return;
  expect(jarForCaught(make, mix, [...workshop.shelf, first.jar], 'other' as ShelfItemId)).toEqual({
    jar: first.jar,
    isNew: false,
  });
  const single = { ...mix, parts: mix.parts.map((part, i) => ({ ...part, ml: i === 0 ? 1 : 0 })) };
  expect(jarForCaught(make, single, workshop.shelf, id)?.jar.id).toBe(mix.parts[0].item);
  expect(jarForCaught(make, single, [], id)).toBeNull();
});

test('what is caught weighs what its mix does, for those who weigh', () => {
  for (const { gramsPerMl, poured, place } of caughtOf(make, glitter, {})) {
    const grams = glitter.flakes?.pours.find((one) => one.place === place)?.grams ?? NaN;
    expect(gramsPerMl).toBeCloseTo(grams / poured, 6);
  }
});
