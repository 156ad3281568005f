import fc from 'fast-check';
import { tidy, type ShelfItem } from '../src';
import { buyCsv, buyText, jarNeeds, needsOf, takenFrom, takesText, toBuyText, type Need } from '../src/make';
import { coatOf, entry, made, upTo } from './made';
import { demoNames, workshop } from './workshop';

test.each(demoNames)('%s needs what its coats still to come take, coat by coat, and nothing once it is given up', (name) => {
  const make = made(name, 2);
  const sums = (needs: readonly Need[]) => {
    const jars = new Map<string, number>();
    for (const { item, amount } of needs) jars.set(item, tidy((jars.get(item) ?? 0) + amount));
    return jars;
  };
  expect(sums(needsOf(make, []))).toEqual(
    sums(make.steps.flatMap((step) => takenFrom(step, {}).map((one) => ({ ...one, coat: '', due: 0 })))),
  );
  const half = make.steps[Math.floor(make.steps.length / 2)];
  const rest = make.steps.slice(make.steps.indexOf(half));
  const log = upTo(make, half.coat);
  expect(needsOf(make, log).map(({ coat }) => coat)).toEqual(rest.flatMap((step) => takenFrom(step, {}).map(() => step.title)));
  expect(needsOf(make, [...log, entry(900, { what: 'given up', why: 'fell' })])).toEqual([]);
});

test('a coat that was left out needs nothing; one that was undone needs it again', () => {
  const make = made('copper-eaves');
  const resin = coatOf(make, 'resin');
  const of = (log: Parameters<typeof needsOf>[1]) => needsOf(make, log).some(({ coat }) => coat === resin.title);
  const log = upTo(make, resin.coat);
  const out = [...log, entry(900, { what: 'skipped', coat: resin.coat, why: 'so' })];
  expect([of(log), of(out), of([...out, entry(901, { what: 'undone', coat: resin.coat })])]).toEqual([true, false, true]);
});

const jar = (left: number | null, full: number | null = null): ShelfItem => ({ ...workshop.shelf[0], left, full });
const need = (amount: number, due: number): Need => ({ item: workshop.shelf[0].id, coat: `Coat ${due}`, due, amount });

test('what runs out does at the first coat, by the clock, that the jar no longer covers, whichever cup that is of', () => {
  fc.assert(
    fc.property(
      fc.array(fc.record({ amount: fc.integer({ min: 1, max: 50 }), due: fc.nat(1000), make: fc.nat(2) }), { minLength: 1 }),
      fc.nat(400),
      (all, left) => {
        const makes = [0, 1, 2].map((number) => ({
          called: `cup ${number}`,
          needs: all.filter(({ make }) => make === number).map(({ amount, due }) => need(amount, due)),
        }));
        const [one] = jarNeeds(makes, [jar(left, 60)]);
        const takes = all.reduce((sum, { amount }) => sum + amount, 0);
        expect([one.takes, one.short]).toEqual([takes, Math.max(0, takes - left)]);
        const until = (due: number) => all.filter((wish) => wish.due <= due).reduce((sum, { amount }) => sum + amount, 0);
        const before = (due: number) => all.filter((wish) => wish.due < due).reduce((sum, { amount }) => sum + amount, 0);
        if (takes <= left) expect(one.out).toBeNull();
        else {
          expect(until(one.out?.due ?? -1)).toBeGreaterThan(left);
          expect(before(one.out?.due ?? -1)).toBeLessThanOrEqual(left);
          expect((one.jars ?? 0) * 60).toBeGreaterThanOrEqual(one.short);
        }
      },
    ),
  );
});

test('what nobody counts is never short; a jar that went from the shelf has nothing left', () => {
  const makes = [{ called: 'Copper Eaves, make 1', needs: [need(30, 5)] }];
  expect(jarNeeds(makes, [jar(null)])[0]).toMatchObject({ left: null, short: 0, out: null, jars: null });
  expect(jarNeeds(makes, [], [jar(80)])[0]).toMatchObject({ left: 0, short: 30, out: { due: 5 } });
  expect(jarNeeds(makes, [])).toEqual([]);
});

test('the list to buy has what is short and for which cups, as lines and as a table that no sheet takes for a formula', () => {
  const makes = [{ called: 'Copper Eaves, make 1', needs: [need(30.4, 5)] }];
  const needs = jarNeeds(makes, [{ ...jar(10, 15), name: '=Penny Rain' }]);
  expect(buyText(needs)).toBe('=Penny Rain: 21 ml (2 full ones), for Copper Eaves, make 1\n');
  const [head, row] = buyCsv(needs).split('\n');
  expect(head).toBe('what,counted in,left,needed,short,full ones to buy,for');
  expect(row).toBe(`"'=Penny Rain",ml,10,30.4,20.4,2,"Copper Eaves, make 1"`);
  expect(buyText(jarNeeds(makes, [jar(100)]))).toBe('');
});

test('amounts are told as one counts: no more digits than that', () => {
  const of = (amount: number, left: number | null) =>
    jarNeeds([{ called: 'a cup', needs: [need(amount, 1)] }], [jar(left, 20)])[0];
  expect(takesText(of(87.474138208, 180))).toBe('87.5 ml of 180 ml');
  expect(takesText(of(0.5027, null))).toBe('0.5 ml of a jar that isn’t counted');
  expect(toBuyText(of(87.474138208, 40))).toBe('48 ml (3 full ones)');
});
