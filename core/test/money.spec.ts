import { takenFrom, type Make } from '../src/make';
import {
  byCoat,
  byKind,
  costOf,
  eachOf,
  floorOf,
  moneyText,
  moneyWaysSchema,
  plannedCost,
  priceForWage,
  priceOf,
  realCost,
  rejectShare,
  savingsOf,
  soldAt,
  usualMoneyWays,
  wageAt,
  type Cost,
  type MoneyWays,
  type Prices,
} from '../src/money';
import { costPerMl } from '../src/stock';
import { coatOf, entry, made, upTo } from './made';
import { demoNames, workshop } from './workshop';

const ways: MoneyWays = {
  ...usualMoneyWays,
  rate: 15,
  things: { cup: 8, gloves: 0.2, pot: 0.3, sandpaper: 0.5, blade: 0.4, sealer: 0.35 },
  kilowattHour: 0.3,
};
const prices: Prices = { ways, shelf: workshop.shelf, failing: 0 };
const cents = (amount: number) => Math.round(amount * 100);
const sum = (cost: Cost, kind: string) =>
  cost.lines.filter((line) => line.kind === kind).reduce((all, line) => all + (line.cost ?? 0), 0);
const paidFor = (make: Make, item: string): number => {
  const jar = make.shelf.find(({ id }) => id === item);
  return jar ? (costPerMl(jar) ?? 0) : 0;
};

describe('what a cup costs', () => {
  it.each(demoNames)('of %s is what its coats take, times what was paid, and the hours', (name) => {
    const make = made(name);
    const cost = plannedCost(make, prices);
    const jars = make.steps
      .flatMap((step) => takenFrom(step, {}))
      .reduce((all, { item, amount }) => all + amount * paidFor(make, item), 0);
    const materials = ['glitter', 'ink', 'resin', 'paint', 'glue', 'film'].reduce((all, kind) => all + sum(cost, kind), 0);
    expect(cents(materials)).toBe(cents(jars));
    const hours = make.steps.reduce((all, { handsOn }) => all + handsOn, 0) / 60;
    expect([cost.hours, cost.wages]).toEqual([expect.closeTo(hours, 9), expect.closeTo(15 * hours, 9)]);
    expect(cost.total).toBeCloseTo(cost.materials + (cost.wages ?? 0), 9);
    for (const line of cost.lines) expect(line.lost).toBeLessThanOrEqual((line.cost ?? 0) + 1e-9);
    // Shown by kind or by coat, nothing is left out or counted twice.
    expect(byKind(cost).reduce((all, one) => all + one.cost, 0)).toBeCloseTo(cost.total, 9);
    expect(byCoat(cost).reduce((all, one) => all + one.cost, 0)).toBeCloseTo(cost.total, 9);
  });

  it('names what has no price, and never counts it as free without a word', () => {
    const make = made('copper-eaves');
    const unknown = { ...make, shelf: make.shelf.map((jar) => (jar.name === 'Penny Rain' ? { ...jar, paid: null } : jar)) };
    const cost = plannedCost(unknown, { ...prices, shelf: unknown.shelf });
    expect(cost.unpriced).toEqual(['Penny Rain']);
    expect(plannedCost(make, { ...prices, ways: usualMoneyWays }).unpriced).toEqual(
      expect.arrayContaining(['Bare cups', 'Gloves', 'Mixing pots', 'Sandpaper', 'Power of the turner', 'Hours of hands']),
    );
    expect(plannedCost(make, { ...prices, ways: usualMoneyWays }).wages).toBeNull();
    // A price that was learnt since counts.
    expect(plannedCost(unknown, prices).unpriced).toEqual([]);
  });

  it('is less a cup for several at once, which share pots and gloves', () => {
    const [one, six] = [plannedCost(made('copper-eaves'), prices), plannedCost(made('copper-eaves', 6), prices)];
    expect(floorOf(six)).toBeLessThan(floorOf(one));
    expect(eachOf(six).total).toBeCloseTo(floorOf(six), 9);
    expect(sum(six, 'things')).toBeGreaterThan(6 * 8);
  });

  it('pays for the cups that fail by what the logbook has, or by what the maker says', () => {
    expect(rejectShare(null, { made: 0, failed: 0 })).toBe(0);
    expect(rejectShare(null, { made: 18, failed: 2 })).toBe(0.1);
    expect(rejectShare(0.05, { made: 18, failed: 2 })).toBe(0.05);
    const cost = plannedCost(made('copper-eaves'), { ...prices, failing: 0.1 });
    // Ten are paid for to have nine.
    expect(9 * cost.total).toBeCloseTo(10 * plannedCost(made('copper-eaves'), prices).total, 6);
  });
});

describe('what a make really cost', () => {
  const make = made('copper-eaves');
  const resin = coatOf(make, 'resin');
  const before = upTo(make, resin.coat);

  it('is what was poured by its log, coat by coat; nothing for what isn’t laid yet', () => {
    expect(realCost(make, [], prices).total).toBe(0);
    const poured = { a: 40, b: 40 };
    const log = [...before, entry(50, { what: 'done', coat: resin.coat, poured })];
    const line = realCost(make, log, prices).lines.find((one) => one.coat === resin.coat && one.kind === 'resin');
    expect(cents(line?.cost ?? 0)).toBe(cents(80 * paidFor(make, line?.item ?? '')));
    const undone = [...log, entry(60, { what: 'undone', coat: resin.coat })];
    expect(realCost(make, undone, prices).lines.some(({ coat }) => coat === resin.coat)).toBe(false);
  });

  it('counts real hands, but not a night in which “done” was forgotten', () => {
    const hours = (until: number) =>
      realCost(
        make,
        [...before, entry(100, { what: 'begun', coat: resin.coat }), entry(until, { what: 'done', coat: resin.coat })],
        prices,
      ).lines.find(({ coat, kind }) => coat === resin.coat && kind === 'hours')?.amount;
    expect(hours(130)).toBeCloseTo(0.5, 9);
    expect(hours(1000)).toBeCloseTo(resin.handsOn / 60, 9);
  });

  it('is less by what was caught and kept', () => {
    const glitter = coatOf(make, 'glitter');
    const [pour] = glitter.flakes?.pours ?? [];
    const log = [...upTo(make, glitter.coat), entry(50, { what: 'done', coat: glitter.coat })];
    const kept = [...log, entry(55, { what: 'kept', coat: glitter.coat, place: pour.place, ml: 1 })];
    const saved = sum(realCost(make, log, prices), 'glitter') - sum(realCost(make, kept, prices), 'glitter');
    const parts = glitter.amounts.filter(({ key }) => key.startsWith(`pour/${pour.place}/`));
    const ml = parts.reduce((all, { amount }) => all + amount, 0);
    const worth = parts.reduce((all, { amount, item }) => all + (amount / ml) * paidFor(make, item ?? ''), 0);
    expect(saved).toBeCloseTo(worth, 6);
  });
});

describe('prices', () => {
  const cost = plannedCost(made('copper-eaves'), { ...prices, failing: 0.08 });
  const selling: MoneyWays = { ...ways, margin: 0.25, fee: 0.12, feeFixed: 0.4, postage: 5, rounding: 0.5 };

  it('cover the floor, margin, fees and postage, on a whole step', () => {
    const { price, floor, fees, postage, left } = priceOf(cost, selling);
    expect(price % 0.5).toBeCloseTo(0, 9);
    expect(price - fees - postage - floor).toBeCloseTo(left, 9);
    expect(left).toBeGreaterThanOrEqual(0.25 * floor - 1e-9);
    expect(left).toBeLessThan(0.25 * floor + 0.5);
  });

  it('that give an hour a wage, and the wage that they give, are each other’s answer', () => {
    for (const wage of [0, 8, 15, 31.5]) {
      const price = priceForWage(wage, cost, { ...selling, rounding: 0.01 });
      const earned = wageAt(price, cost, selling);
      expect(earned).toBeGreaterThanOrEqual(wage - 1e-9);
      expect((earned ?? 0) - wage).toBeLessThan(0.02);
    }
    // At its floor, sold without fees, an hour earns its rate.
    const bare = { ...ways, fee: 0, feeFixed: 0, postage: 0 };
    expect(wageAt(floorOf(cost), cost, bare)).toBeCloseTo(15, 9);
  });

  it('of several cups in one parcel share its postage', () => {
    expect(priceOf(cost, selling, 4).price).toBeLessThan(priceOf(cost, selling).price);
  });

  it('of nothing are told as what they are: a loss', () => {
    expect(soldAt(0, cost, ways).left).toBeCloseTo(-floorOf(cost), 9);
    expect(wageAt(0, cost, ways)).toBeLessThan(0);
    expect(moneyText(-12.345, ways)).toBe('−12.35 €');
    expect(moneyText(-0.001, { sign: '' })).toBe('0.00');
  });

  it('refuse a fee that leaves nothing, with a sentence', () => {
    const read = moneyWaysSchema.safeParse({ ...ways, fee: 1 });
    expect(read.success ? '' : read.error.issues[0].message).toMatch(/all fee nothing is left/);
  });

  it('of cups without any hands have no wage', () => {
    expect(wageAt(10, costOf(1, [], 0, 0), ways)).toBeNull();
  });
});

describe('what would be cheaper', () => {
  const make = made('copper-eaves');
  const cost = plannedCost(make, prices);

  it('a coat less saves what the coat costs', () => {
    const saving = savingsOf(make, cost, workshop.shelf).find((one) => one.kind === 'coat');
    if (saving?.kind !== 'coat') throw new Error('no coat is spared');
    const without = { ...make, steps: make.steps.filter(({ coat }) => coat !== saving.coat) };
    expect(cost.total - plannedCost(without, prices).total).toBeCloseTo(saving.saves, 6);
  });

  it('a twin that costs less saves just that, poured in its place', () => {
    const penny = workshop.shelf.find(({ name }) => name === 'Penny Rain');
    if (!penny) throw new Error('no Penny Rain');
    const twin = { ...penny, id: 'twin' as typeof penny.id, name: 'Penny Drizzle', paid: (penny.paid ?? 0) / 2 };
    const saving = savingsOf(make, cost, [...workshop.shelf, twin]).find((one) => one.kind === 'twin');
    const lines = cost.lines.filter(({ item }) => item === penny.id);
    const paid = lines.reduce((all, line) => all + (line.cost ?? 0), 0);
    expect(saving).toMatchObject({ instead: 'Penny Drizzle', name: 'Penny Rain' });
    expect(saving?.saves).toBeCloseTo(paid / 2, 6);
  });
});
