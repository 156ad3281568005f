import {
  afterMovement,
  costPerMl,
  countedIn,
  factOf,
  facePerMl,
  flakesPerMl,
  blendOver,
  groupOf,
  heldByWays,
  foundOnShelf,
  mixedGlitter,
  planOf,
  shelfItemSchema,
  startingItem,
  type ShelfItemId,
} from '../src';
import { blendOf, demoFile, jar, workshop } from './workshop';

const { shelf } = workshop;
const eaves = blendOf('copper-eaves', 'Eaves');

describe('a jar of mixed cuts', () => {
  const mixed = {
    ...jar('penny-rain').flake,
    cut: 0.4,
    mixed: [
      { cut: 0.2, share: 0.25 },
      { cut: 1, share: 0.25 },
    ],
  };
  test('covers as one of a single cut does, with as many flakes as its shares say', () => {
    const single = (cut: number) => flakesPerMl({ ...jar('penny-rain').flake, cut });
    expect(facePerMl(mixed)).toBe(facePerMl(jar('penny-rain').flake));
    expect(flakesPerMl(mixed)).toBeCloseTo(0.5 * single(0.4) + 0.25 * single(0.2) + 0.25 * single(1), 6);
  });
  test('is named by its range and found by each of its cuts', () => {
    const item = { ...jar('penny-rain'), flake: mixed };
    expect(factOf(item)).toMatch(/^0\.2–1 mm, /);
    for (const cut of [
      [0.1, 0.3],
      [0.9, 2],
    ] as const)
      expect(foundOnShelf([item], { words: '', colour: null, cut }, factOf)).toHaveLength(1);
    expect(foundOnShelf([item], { words: '', colour: null, cut: [2, 9] }, factOf)).toEqual([]);
  });
  test('can’t have shares of over a whole', () => {
    const item = {
      ...jar('penny-rain'),
      flake: {
        ...mixed,
        mixed: [
          { cut: 1, share: 0.6 },
          { cut: 2, share: 0.5 },
        ],
      },
    };
    expect(shelfItemSchema.safeParse(item).error?.issues[0].message).toMatch(/over 100 %/);
  });
  test('comes of a leftover of several cuts', () => {
    const parts = ['penny-rain', 'brickfield'].map((id) => ({ glitter: jar(id).flake, ml: 2 }));
    const left = mixedGlitter(parts);
    expect([left.cut, ...(left.mixed ?? []).map(({ cut }) => cut)].sort()).toEqual([0.2, 0.4]);
    const flakes = parts.reduce((sum, { glitter, ml }) => sum + ml * flakesPerMl(glitter), 0);
    expect(flakesPerMl(left) * 4).toBeCloseTo(flakes, -2);
  });
});

test('a film is counted in sheets, and its ledger says so', () => {
  const film = shelfItemSchema.parse({ ...startingItem('film', 'x'), left: 3, paid: 8, full: 10 });
  expect(countedIn(film)).toBe('sheets');
  expect(costPerMl(film)).toBe(0.8);
  expect(afterMovement(film, { why: 'used on a cup', amount: 2 }).left).toBe(1);
  expect(() => afterMovement(film, { why: 'used on a cup', amount: 4 })).toThrow('There are 3 sheets of New film; 4 can’t go.');
});

test('a pearl stands apart from the inks and is counted in scoops', () => {
  expect(groupOf(startingItem('pearl', 'x'))).toBe('pearl');
  expect(groupOf(startingItem('ink', 'x'))).toBe('ink');
  const { design, settings } = demoFile('peat-fire');
  const coats = design.coats.map((coat) => (coat.kind === 'ink' ? { ...coat, ink: 'fog-lamp' as ShelfItemId } : coat));
  const plan = planOf({ ...design, coats }, { shelf, settings });
  expect(plan.totals.inks).toMatchObject([{ name: 'Fog Lamp', dose: 'scoop' }]);
});

describe('the ways of glue, for one blend', () => {
  const rows = heldByWays(eaves, shelf);
  test('keep what their hold says, and cast the rest off', () => {
    for (const { hold, lands, castOff, bare } of rows) {
      expect(lands + castOff * eaves.ml).toBeCloseTo(eaves.ml, 9);
      const kept = hold === null ? eaves.poured : hold * (1 - Math.exp(-eaves.poured / hold));
      expect(bare).toBeCloseTo(Math.exp(-kept), 9);
    }
    expect(rows.map(({ lands }) => lands)).toEqual(rows.map(({ lands }) => lands).sort((one, other) => other - one));
  });
  test('take the hold of a glue on the shelf where there is one', () => {
    const strong = shelf.map((item) => (item.kind === 'glue' && item.way === 'brush-on' ? { ...item, hold: 3 } : item));
    expect(heldByWays(eaves, strong).find(({ way }) => way === 'brush-on')?.hold).toBe(3);
  });
  test('say what isn’t for chunky flakes', () => {
    const chunky = { ...eaves, parts: eaves.parts.map((part) => ({ ...part, cut: 1 })) };
    const against = heldByWays(chunky, shelf).filter((row) => row.against?.includes('coarse'));
    expect(against.map(({ way }) => way).sort()).toEqual(['clear spray', 'tacky coat']);
  });
});

test('over its own base a blend is seen as planned; over another, otherwise', () => {
  const frost = blendOf('orchard-frost', 'Grove');
  expect(blendOver(frost, shelf, frost.under)).toBe(frost.seen);
  expect(blendOver(frost, shelf, '#ffffff')).toBe(frost.seenOver.white);
});
