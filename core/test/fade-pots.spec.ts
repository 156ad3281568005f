import { planFade } from '../src';
import { anyFades, ends, mix, stepsBetween, thinning, wish } from './any-fade';

test('the pots that are named for a finer spoon do make the steps more even, and none is named where that helps nobody', () => {
  let named = 0;
  anyFades(120, (asked) => {
    const plan = planFade(asked);
    const [, said] = /Measure pots? ([\d and]+) with a finer spoon/.exec(plan.verdict.why) ?? [];
    if (said === undefined) return;
    named += 1;
    const fine = planFade({ ...asked, step: 0.0005 }).pots;
    const pots = said.split(' and ').map((one) => Number(one) - 1);
    const steps = stepsBetween(plan.pots.map(({ lab }, i) => (pots.includes(i) ? fine[i].lab : lab)));
    expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(plan.unevenness);
  });
  expect(named).toBeGreaterThan(5);
});
test('that thins out never thickens, whatever the spoon, the cup and the jar; nor does a mix turn back', () => {
  anyFades(200, (asked) => {
    const { pots, spoon } = planFade(asked);
    for (const { spoons } of pots)
      for (const { ml } of spoons) expect(Math.abs(ml / spoon - Math.round(ml / spoon))).toBeLessThan(1e-6);
    const [first, last] = [asked.stops[0].cover, asked.stops[1].cover];
    if (first !== last)
      pots.slice(1).forEach(({ kept }, i) => expect((kept - pots[i].kept) * (last - first)).toBeGreaterThanOrEqual(-1e-9));
    const share = ({ spoons, ml }: (typeof pots)[number]) =>
      spoons.reduce((sum, one) => sum + (one.stop === 1 ? one.ml : 0), 0) / ml;
    if (first === last && !asked.castOff)
      pots.slice(1).forEach((pot, i) => expect(share(pot)).toBeGreaterThanOrEqual(share(pots[i]) - 1e-9));
  });
});
test('asks for a finer spoon only where the maker’s can’t follow, and says so', () => {
  const narrow = wish(thinning(mix('first-frost')), { pots: 9, areas: Array(9).fill(9) });
  const { spoon, verdict } = planFade(narrow);
  expect(spoon).toBeLessThan(0.5);
  expect(verdict).toMatchObject({
    level: 'look',
    why: expect.stringContaining(`A spoon of 0.5 ml can’t follow it without turning back: its pots are measured to ${spoon} ml.`),
  });
  expect(planFade(wish(ends(mix('bee-line'), mix('brickfield')))).spoon).toBe(0.5);
  const [covered] = planFade(wish(thinning(mix('brickfield')), { areas: [0.05, 80, 80, 80, 80] })).pots;
  expect(covered).toMatchObject({ ml: 0, parts: [] });
});
test('pours little more than the wall needs, and says how much that is', () => {
  const shares: number[] = [];
  anyFades(150, (asked) => {
    const { surplus, pots } = planFade({ ...asked, castOff: false });
    const needed = pots.reduce((sum, { ml }) => sum + ml, 0) - surplus.ml;
    expect(surplus.share).toBeCloseTo(surplus.ml / needed, 6);
    shares.push(surplus.share);
  });
  shares.sort((one, other) => one - other);
  expect(shares[Math.floor(shares.length / 2)]).toBeLessThan(0.2);
});
