import fc from 'fast-check';
import {
  clearFilm,
  spreadCovers,
  stillAfter,
  stretchGrid,
  wetColour,
  wetColours,
  WetFlow,
  wetMeasures,
  type WetFineness,
  type WetWish,
} from '../src/wet';
import { turnedSlowly } from './turned-slowly';

/* How colour laid into wet resin runs. */
const stations = [
  { height: 0, circumference: 200 },
  { height: 120, circumference: 250 },
];
type Change = Partial<Omit<WetWish, 'drive' | 'laying'>>;
const wish = (change: Change = {}, drive: Partial<WetWish['drive']> = {}, laying: Partial<WetWish['laying']> = {}): WetWish => ({
  stations,
  film: 0.35,
  width: 4,
  pots: [1.5],
  air: null,
  ...change,
  drive: { viscosity: 900, potLife: 12, density: 1.07, rpm: 5, lean: 0, rest: 8, ...drive },
  laying: { way: 'up', count: 3, reach: null, slope: 0, wander: 0, edge: null, apart: 8, seed: 4, ...laying },
});
/** mm; coarser than it is drawn, to be quick */
const CELL = { cell: 4 };
const lie = (given: WetWish, fineness: WetFineness = CELL) => wetMeasures(wetColour(given, fineness), given.laying.reach);
const mlOf = ({ grid, colour }: ReturnType<typeof wetColour>) =>
  colour.map(
    (pot) =>
      pot.reduce(
        (sum, mm, at) => sum + mm * grid.across[Math.floor(at / grid.columns)] * grid.along[Math.floor(at / grid.columns)],
        0,
      ) / 1000,
  );

test('nothing is lost and nothing comes of nothing, whatever is laid and however it runs', () => {
  const laid = fc.record({
    way: fc.constantFrom('up' as const, 'round' as const, 'drops' as const),
    count: fc.integer({ min: 1, max: 12 }),
    slope: fc.integer({ min: -60, max: 60 }),
    wander: fc.integer({ min: 0, max: 20 }),
    seed: fc.integer({ min: 0, max: 99 }),
    reach: fc.constantFrom(null, { from: 20, to: 90 }),
  });
  const driven = fc.record({
    viscosity: fc.constantFrom(300, 900, 4000),
    rpm: fc.constantFrom(1, 5, 20),
    lean: fc.constantFrom(0, 0, -4, 8),
    rest: fc.constantFrom(0, 8, 40),
  });
  fc.assert(
    fc.property(
      laid,
      driven,
      fc.constantFrom([2], [1, 2], [0.5, 1, 6]),
      fc.constantFrom(0.1, 0.35, 0.8),
      (laying, drive, pots, film) => {
        const wet = wetColour(wish({ pots, film }, drive, laying), { cell: 6 });
        const there = mlOf(wet);
        const used = pots.filter((_, pot) => pot < laying.count);
        used.forEach((ml, pot) => expect(there[pot] + wet.lost[pot]).toBeCloseTo(ml, 4));
        wet.lost.forEach((ml) => expect(drive.lean === 0 ? Math.abs(ml) : -ml).toBeLessThan(1e-6));
        expect(wet.colour.flatMap((pot) => [...pot].filter((mm) => !(mm > -1e-4)))).toEqual([]);
      },
    ),
    { numRuns: 12 },
  );
});

test('steps half as long, and cells half as wide, tell the same', () => {
  const given = wish({}, {}, { slope: 20, wander: 5 });
  const [as, halved] = [lie(given), lie(given, { ...CELL, finer: 2 })];
  expect(halved.covers / as.covers).toBeCloseTo(1, 1);
  expect(Math.abs(halved.covers / as.covers - 1)).toBeLessThan(0.04);
  expect(Math.abs(halved.drifted / as.drifted - 1)).toBeLessThan(0.03);
  expect(Math.abs(halved.most / as.most - 1)).toBeLessThan(0.06);
  const fine = lie(given, { cell: 2.5 });
  expect(Math.abs(fine.covers / as.covers - 1)).toBeLessThan(0.15);
  expect(Math.abs(fine.drifted / as.drifted - 1)).toBeLessThan(0.05);
});

test('a ripple levels out as fast as theory has it', () => {
  // To first order its height falls by e^(−σh³k⁴t/3μ).
  const [round, film, waves, seconds] = [60, 0.4, 4, 60];
  const grid = stretchGrid(round, 120, round);
  const wet = clearFilm(grid, film, 1);
  const wave = (at: number) => Math.cos((2 * Math.PI * waves * (at + 0.5)) / grid.columns);
  wet.all.forEach((_, at) => (wet.all[at] += 0.005 * wave(at)));
  const flow = new WetFlow(wet, { viscosity: 2500, potLife: 1e6, density: 1.07, rpm: 60, lean: 0, rest: 0 }, null, 20);
  while (flow.seconds < seconds - 1e-9) flow.step(seconds);
  const k = (2 * Math.PI * waves) / round;
  const left = Math.exp(-(35 / (3 * 2.5)) * film ** 3 * k ** 4 * seconds);
  expect(left).toBeLessThan(0.7);
  expect((Math.max(...wet.all) - film) / 0.005 / left).toBeCloseTo(1, 1);
  expect(Math.abs((Math.max(...wet.all) - Math.min(...wet.all)) / 0.01 / left - 1)).toBeLessThan(0.03);
});

test('averaged over the turns it is what turning and turning comes to', () => {
  // Turned fast, so that a turn moves it little, as the average asks for; the other way takes every turn as it comes.
  const drive = { viscosity: 2500, potLife: 1e6, density: 1.07, rpm: 24, lean: 0, rest: 0 };
  const given = { round: 120, cells: 60, film: 0.5, ridge: { width: 100, height: 0.1 }, minutes: 5, drive };
  const [turned, averaged] = [turnedSlowly(given), turnedSlowly({ ...given, averaged: true })];
  expect(averaged.drifted).toBeLessThan(-3);
  expect(Math.abs(averaged.drifted / turned.drifted - 1)).toBeLessThan(0.1);
  expect(Math.abs(averaged.spread / turned.spread - 1)).toBeLessThan(0.03);
});

describe('as makers know it', () => {
  test('quick resin spreads less than slow, and what rested longer less than what was laid at once', () => {
    const wide = (drive: Partial<WetWish['drive']>) => lie(wish({}, drive)).covers;
    expect(wide({ potLife: 6 })).toBeLessThan(wide({ potLife: 24 }));
    expect(wide({ rest: 12 })).toBeLessThan(wide({ rest: 5 }));
    expect(wide({ viscosity: 2400 })).toBeLessThan(wide({ viscosity: 800 }));
  });
  test('a string that ends on the wall grows a head, one carried over both edges doesn’t', () => {
    expect(lie(wish({}, {}, { reach: { from: 30, to: 90 } })).heads).toBeGreaterThan(1.25);
    expect(lie(wish()).heads).toBeLessThan(1.1);
  });
  test('what leans runs to the lower end and off it', () => {
    const [level, leaning] = [wetColour(wish(), CELL), wetColour(wish({}, { lean: 6 }), CELL)];
    expect(level.lost[0]).toBeCloseTo(0, 6);
    expect(leaning.lost[0]).toBeGreaterThan(0.1);
  });
  test('warm air pushes colour to where it blows', () => {
    const middle = (air: WetWish['air']) => {
      const { grid, colour } = wetColour(
        wish({ air }, {}, { way: 'edge', count: 1, edge: new Array<number>(180).fill(50) }),
        CELL,
      );
      let [sum, moved] = [0, 0];
      colour[0].forEach((mm, at) => {
        const row = Math.floor(at / grid.columns);
        sum += mm * grid.across[row];
        moved += mm * grid.across[row] * (row + 0.5) * grid.rise;
      });
      return moved / sum;
    };
    const still = middle(null);
    expect(still).toBeCloseTo(50, 0);
    expect(middle({ seconds: 30, towards: 0 })).toBeGreaterThan(still + 3);
    expect(middle({ seconds: 30, towards: 180 })).toBeLessThan(still - 3);
  });
  test('two colours side by side run into each other, far apart they don’t', () => {
    expect(lie(wish({ pots: [2, 2] }, {}, { count: 8 })).meets).toBeGreaterThan(0.02);
    expect(lie(wish({ pots: [0.5, 0.5] }, {}, { count: 2 })).meets).toBe(0);
  });
});

test('a longer line takes as much more of its pot: along an edge in parts there is about as much a mm everywhere', () => {
  const edge = Array.from({ length: 180 }, (_, n) => (n < 30 || (n >= 60 && n < 150) ? 60 : null));
  const [first] = [...wetColours(wish({}, {}, { way: 'edge', count: 1, edge }), [0])].flatMap(({ wet }) => wet ?? []);
  const { columns } = first.grid;
  const across = Array.from({ length: columns }, (_, column) =>
    first.colour[0].reduce((sum, mm, at) => sum + (at % columns === column ? mm : 0), 0),
  );
  const along = (from: number, to: number) => {
    const some = across.slice(Math.ceil((from / 360) * columns), Math.floor((to / 360) * columns));
    return some.reduce((sum, mm) => sum + mm, 0) / some.length;
  };
  // A little of the shorter one rounds off its ends; were both given as much, it would be three times as thick.
  expect(Math.abs(along(15, 45) / along(180, 240) - 1)).toBeLessThan(0.12);
});

test('what is told while one types agrees with what runs', () => {
  for (const [count, ml] of [
    [3, 1],
    [8, 1.5],
  ] as const) {
    const given = wish({ pots: [ml] }, {}, { count });
    const run = lie(given, {}).covers;
    const told = spreadCovers({
      ...given.drive,
      film: given.film,
      width: given.width,
      round: 225,
      shape: 'line',
      amount: (1000 * ml) / count / 120,
      apart: 225 / count,
    });
    expect(Math.abs(told - run)).toBeLessThan(0.04);
  }
});

test('what nobody would lay is worked out all the same', () => {
  for (const given of [
    wish({ film: 3 }, { viscosity: 50, lean: 15, potLife: 200 }),
    wish({ film: 0.02, pots: [30] }, {}, { count: 1, way: 'drops' }),
    wish({}, { viscosity: 20000, rest: 120 }),
    wish({}, {}, { reach: { from: 500, to: 600 } }),
    wish({
      stations: [
        { height: 0, circumference: 40 },
        { height: 20, circumference: 50 },
      ],
    }),
  ]) {
    const wet = wetColour(given, { cell: 5 });
    expect([...wet.all].filter((mm) => !Number.isFinite(mm))).toEqual([]);
    expect(wet.minutes).toBe(stillAfter(given.drive));
  }
  expect(clearFilm(wetColour(wish(), { cell: 6 }).grid, 0.2, 0).colour).toEqual([]);
});
