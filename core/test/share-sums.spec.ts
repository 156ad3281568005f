import * as fc from 'fast-check';
import { cutTo, deltaE2000, labOfXyz, LightEnds, nearestBetween, ShareSums, xyzOfLab, type Lab, type Triple } from '../src';

const part = fc.double({ min: 0, max: 1, noNaN: true });
const worth = fc.double({ min: -5, max: 5, noNaN: true });

/** Shares that add up to 1, ranges round them and what each is worth. */
const ranges = fc.array(fc.tuple(part, part, part, worth), { minLength: 1, maxLength: 6 }).map((given) => {
  const whole = given.reduce((sum, [amount]) => sum + amount + 0.01, 0);
  const shares = given.map(([amount]) => (amount + 0.01) / whole);
  return {
    shares,
    ranges: shares.map((share, p) => [share * given[p][1], share + (1 - share) * given[p][2]] as const),
    own: Float64Array.from(given, (one) => one[3]),
  };
});
const sumOf = (own: Float64Array, shares: readonly number[]) => shares.reduce((sum, share, p) => sum + share * own[p], 0);

test('sums of shares that add up to the whole end where shares in their ranges can take them, and no further', () => {
  fc.assert(
    fc.property(ranges, ({ shares, ranges: within, own }) => {
      const sums = new ShareSums(within);
      const sum = sumOf(own, shares);
      expect(sums.most(own)).toBeGreaterThanOrEqual(sum - 1e-9);
      expect(sums.least(own)).toBeLessThanOrEqual(sum + 1e-9);
      // A little of one share for a little of another: from the shares that make the most, none wins.
      const most = sums.most(own);
      within.forEach(([, to], p) =>
        within.forEach(([from], q) => {
          const by = Math.min(to - shares[p], shares[q] - from);
          const other = shares.map((share, at) => share + (at === p ? by : 0) - (at === q ? by : 0));
          if (p !== q) expect(sumOf(own, other)).toBeLessThanOrEqual(most + 1e-9);
        }),
      );
    }),
    { numRuns: 500 },
  );
});

test('a cut keeps all shares that a line allows, and cuts off some that it doesn’t', () => {
  let narrower = 0;
  fc.assert(
    fc.property(ranges, ({ shares, ranges: within, own }) => {
      const allowed = sumOf(own, shares) >= 0;
      const cut = cutTo([own], within);
      if (allowed)
        cut?.forEach(([from, to], p) => {
          expect(from).toBeLessThanOrEqual(shares[p] + 1e-6);
          expect(to).toBeGreaterThanOrEqual(shares[p] - 1e-6);
        });
      if (allowed) expect(cut).not.toBeNull();
      if (!cut || cut.some(([from, to], p) => to - from < within[p][1] - within[p][0] - 0.01)) narrower += 1;
    }),
    { numRuns: 500 },
  );
  expect(narrower).toBeGreaterThan(100);
});

test('the nearest colour between some is never further than each, and hardly ever further than a mix of them', () => {
  const xyz = fc.tuple(part, part, part).map(([x, y, z]): Triple => [0.02 + 0.9 * x, 0.02 + 0.9 * y, 0.02 + 0.9 * z]);
  const anyTarget = fc.tuple(
    fc.double({ min: 10, max: 90, noNaN: true }),
    fc.integer({ min: -90, max: 90 }),
    fc.integer({ min: -90, max: 90 }),
  );
  let further = 0;
  fc.assert(
    fc.property(fc.array(fc.tuple(xyz, part), { minLength: 1, maxLength: 8 }), anyTarget, (given, target: Lab) => {
      const corners = given.map(([corner]) => corner);
      const nearest = nearestBetween(target, corners);
      const whole = given.reduce((sum, [, amount]) => sum + amount + 0.01, 0);
      const mixed = [0, 1, 2].map((axis) =>
        given.reduce((sum, [corner, amount]) => sum + (corner[axis] * (amount + 0.01)) / whole, 0),
      );
      const differenceOf = (one: readonly number[]) => deltaE2000(target, labOfXyz(one as Triple));
      const found = deltaE2000(target, nearest);
      for (const corner of corners) expect(found).toBeLessThanOrEqual(differenceOf(corner) + 1e-6);
      for (const axis of [0, 1, 2])
        expect(xyzOfLab(nearest)[axis]).toBeLessThanOrEqual(Math.max(...corners.map((corner) => corner[axis])) + 1e-9);
      // Differences don’t fall evenly everywhere: deep blacks have hollows.
      if (found > differenceOf(mixed) + 0.05) further += 1;
    }),
    { numRuns: 300 },
  );
  expect(further).toBeLessThanOrEqual(6);
});

test('what hiding jars send back lies between the ends that a sum leaves them, which are narrower than those of all', () => {
  const jar = fc.tuple(part, worth, fc.double({ min: 0.02, max: 1, noNaN: true }));
  let narrower = 0;
  fc.assert(
    fc.property(
      fc.array(jar, { minLength: 2, maxLength: 6 }),
      fc.array(fc.tuple(part, worth), { minLength: 1, maxLength: 3 }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      part,
      (hiding, through, hides, spare) => {
        const count = through.length;
        const seen = through.reduce((sum, [amount]) => sum + amount + 0.01, 0);
        const own = through.map(([amount]) => ((1 - hides) * (amount + 0.01)) / seen);
        const whole = hiding.reduce((sum, [, , amount]) => sum + amount, 0);
        const shares = hiding.map(([, , amount]) => (hides * amount) / whole);
        const sum =
          own.reduce((total, share, p) => total + share * through[p][1], 0) +
          shares.reduce((total, share, j) => total + share * hiding[j][1], 0);
        // The sum is met by this mix, with something to spare or just so.
        const worths = Float64Array.from([...own.map(() => 0), ...hiding.map(([, value]) => value - sum / hides + 0.1 * spare)]);
        const reflects = [...own.map(() => 0), ...hiding.map(([light]) => light)].map((light) =>
          new Float64Array(36).fill(light),
        );
        const ends = new LightEnds(reflects);
        const jars = hiding.map((_, j) => count + j);
        const box = {
          through: own.map((_, p) => p),
          hiding: jars,
          shares: [...own, hides].map((share) => [share * 0.9, Math.min(1, share * 1.1)] as const),
          strict: { own: Float64Array.from([...through.map(([, value]) => value), 0]), hiding: worths },
        };
        const { darkest, brightest } = ends.within(box, box.shares[count]);
        const light = shares.reduce((total, share, j) => total + (share / hides) * hiding[j][0], 0);
        expect(darkest[0]).toBeLessThanOrEqual(light + 1e-9);
        expect(brightest[0]).toBeGreaterThanOrEqual(light - 1e-9);
        const all = ends.of(jars);
        if (brightest[0] - darkest[0] < 0.98 * (all.brightest[0] - all.darkest[0])) narrower += 1;
      },
    ),
    { numRuns: 500 },
  );
  expect(narrower).toBeGreaterThan(10);
});
