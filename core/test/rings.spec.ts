import fc from 'fast-check';
import { planOf, weighedSections, withSectionsWeighed, withSectionsInOrder } from '../src';
import {
  dulledWord,
  meetingOf,
  neighbourCost,
  planRing,
  ringBound,
  RingError,
  ringOfSections,
  ringOrder,
  ringWords,
  sectionsWithBlends,
  type RingColour,
  type RingPlan,
} from '../src/ring';
import { demoFile } from './workshop';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);
const coloured = (...colours: string[]): readonly RingColour[] =>
  colours.map((colour, i) => ({ id: `c${i}`, name: `Colour ${i}`, colour }));
const many = (count: number, seed = 7) => {
  let state = seed;
  const next = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
  const byte = () =>
    Math.floor(30 + next() * 215)
      .toString(16)
      .padStart(2, '0');
  return coloured(...Array.from({ length: count }, () => `#${byte()}${byte()}${byte()}`));
};
const costOf = (order: readonly RingColour[]) =>
  order.reduce((sum, one, i) => sum + neighbourCost(one.colour, order[(i + 1) % order.length].colour), 0);

/** The least of all orders, by trying every one. */
function tried(colours: readonly string[]): number {
  let best = Infinity;
  const pick = (order: readonly number[], left: readonly number[], cost: number): void => {
    if (cost >= best) return;
    const last = colours[order[order.length - 1]];
    if (left.length === 0) best = Math.min(best, cost + neighbourCost(last, colours[0]));
    for (const one of left)
      pick(
        [...order, one],
        left.filter((other) => other !== one),
        cost + neighbourCost(last, colours[one]),
      );
  };
  pick(
    [0],
    colours.slice(1).map((_, i) => i + 1),
    0,
  );
  return best;
}

describe('the order round the cup', () => {
  test('is that of trying every one, and no bound lies above it', () => {
    fc.assert(
      fc.property(fc.array(hex, { minLength: 3, maxLength: 7 }), (colours) => {
        const least = tried(colours);
        expect(ringOrder(colours).cost).toBeCloseTo(least, 6);
        const cost = colours.map((one) => colours.map((other) => neighbourCost(one, other)));
        expect(ringBound(cost)).toBeLessThanOrEqual(least + 1e-6);
      }),
      { numRuns: 25 },
    );
  });
  test.each([14, 24])('of %p colours comes within 3 %% of what none can beat', (count) => {
    const plan = planRing(many(count));
    expect(plan.order.map(({ id }) => id).sort()).toEqual(
      many(count)
        .map(({ id }) => id)
        .sort(),
    );
    expect(plan.cost).toBeCloseTo(costOf(plan.order), 9);
    expect(plan.bound).toBeGreaterThan(0);
    expect(plan.cost / plan.bound).toBeLessThan(1.03);
    expect(plan.cost).toBeLessThan(plan.now);
  });
  test('puts the seam at the quietest meeting, or begins with the colour that must be first', () => {
    const { meetings } = planRing(many(8));
    const seam = meetings[meetings.length - 1];
    for (const meeting of meetings) expect(meeting.difference).toBeGreaterThanOrEqual(seam.difference);
    expect(planRing(many(8), { first: 'c5' }).order[0].id).toBe('c5');
    expect(ringWords(planRing(many(8)), false)).toMatch(/^\d+ % cleaner than the order now\./);
    expect(ringWords(planRing(many(8)), true)).toMatch(/^The sections stand so already\./);
  });
  test('holds pairs together, as cheaply as that can be', () => {
    const colours = many(7);
    const plan = planRing(colours, {
      together: [
        ['c0', 'c3'],
        ['c3', 'c5'],
      ],
    });
    const beside = (one: string, other: string) =>
      plan.meetings.some((meeting) => [meeting.one.id, meeting.other.id].sort().join() === [one, other].sort().join());
    expect([beside('c0', 'c3'), beside('c3', 'c5')]).toEqual([true, true]);
    expect(plan.cost).toBeGreaterThanOrEqual(planRing(colours).cost - 1e-9);
    const others = ['c1', 'c2', 'c4', 'c6'];
    const held = ['c0', 'c3', 'c5'].map((id) => colours.find((one) => one.id === id) ?? colours[0]);
    // Every order that has the three side by side, gone through.
    const go = (done: readonly RingColour[], left: readonly string[]): number =>
      left.length === 0
        ? costOf(done)
        : Math.min(
            ...left.map((id) =>
              go(
                [...done, ...colours.filter((one) => one.id === id)],
                left.filter((one) => one !== id),
              ),
            ),
          );
    expect(plan.cost).toBeCloseTo(go(held, others), 9);
  });
  test.each([
    [
      'three neighbours',
      [
        ['c0', 'c1'],
        ['c0', 'c2'],
        ['c0', 'c3'],
      ],
      /Colour 0 is to have 3 neighbours; it has two sides/,
    ],
    [
      'a circle of a few',
      [
        ['c0', 'c1'],
        ['c1', 'c2'],
        ['c2', 'c0'],
      ],
      /close a circle that leaves colours out/,
    ],
  ] as const)('%s can’t be held', (_, together, says) => expect(() => planRing(many(6), { together })).toThrow(says));
  test('on an open way, a first colour with two neighbours or a closed circle is refused in words', () => {
    const held = (id: string) => ['c0', id] as const;
    expect(() => planRing(many(6), { open: true, first: 'c0', together: [held('c1'), held('c2')] })).toThrow(
      /Colour 0 begins the way, so it has one neighbour/,
    );
    const circle = ['c0', 'c1', 'c2', 'c3'].map((id, i, all) => [id, all[(i + 1) % 4]] as const);
    expect(() => planRing(many(4), { open: true, together: circle })).toThrow(/a way has two ends/);
  });
  test('no pair that is held is ever parted, and its bound counts the pairs: whatever is held, on a ring or a way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 20 }),
        fc.boolean(),
        fc.boolean(),
        fc.array(fc.tuple(fc.nat(19), fc.nat(19)), { maxLength: 4 }),
        (n, open, begun, drawn) => {
          const colours = many(n);
          const together = drawn.filter(([a, b]) => a < n && b < n && a !== b).map(([a, b]) => [`c${a}`, `c${b}`] as const);
          let plan: RingPlan;
          try {
            plan = planRing(colours, { open, first: begun ? 'c0' : null, together });
          } catch (error) {
            expect(error).toBeInstanceOf(RingError);
            return;
          }
          const beside = plan.meetings.map(({ one, other }) => [one.id, other.id].sort().join());
          for (const [one, other] of together) expect(beside).toContain([one, other].sort().join());
          if (begun) expect(plan.order[0].id).toBe('c0');
          expect(plan.bound).toBeLessThanOrEqual(plan.cost + 1e-9);
        },
      ),
      { numRuns: 120 },
    );
  });
  test('held pairs lift the bound of a large ring: it comes near what they cost', () => {
    const colours = many(16);
    const together = [
      ['c0', 'c8'],
      ['c8', 'c4'],
      ['c2', 'c11'],
    ] as const;
    const [free, held] = [planRing(colours), planRing(colours, { together })];
    expect(held.bound).toBeGreaterThan(free.bound);
    expect((held.cost - held.bound) / held.cost).toBeLessThan(0.05);
  });
  test('along a spiral has two ends that don’t meet', () => {
    const colours = many(6);
    const open = planRing(colours, { open: true });
    expect(open.meetings).toHaveLength(5);
    expect(open.cost).toBeLessThan(planRing(colours).cost);
    expect(planRing(colours, { open: true, first: 'c4' }).order[0].id).toBe('c4');
    expect(planRing(many(20), { open: true }).order).toHaveLength(20);
  });
  test.each([
    [2, /takes three or more/],
    [40, /more than can be strewn apart/],
  ])('of %p colours is refused with a sentence', (count, sentence) => {
    expect(() => planRing(many(count))).toThrow(RingError);
    expect(() => planRing(many(count))).toThrow(sentence);
  });
});

test('opposites turn to mud where they meet, neighbours on the wheel and greys don’t', () => {
  const [red, cyan, orange, grey, dark] = coloured('#c03028', '#2fb0a8', '#d07a28', '#8a8a8a', '#5a5a5a');
  expect(meetingOf(red, cyan)).toMatchObject({ mud: true });
  expect(meetingOf(red, orange).mud).toBe(false);
  expect(meetingOf(grey, dark).mud).toBe(false);
  expect([meetingOf(red, cyan), meetingOf(grey, dark)].map(dulledWord)).toEqual(['mud', 'not']);
  expect(meetingOf(red, cyan).dulling).toBeGreaterThan(meetingOf(red, orange).dulling);
});

describe('the sections of a design', () => {
  const { design, shelf, settings } = demoFile('thistle-weave');
  const plan = planOf(design, { shelf, settings });

  test('come in their cleanest order, each with its own blend, width and coats, and nothing left over', () => {
    const ring = ringOfSections(design, plan.blends);
    expect(ring.order).toHaveLength(6);
    expect(ring.cost).toBeLessThanOrEqual(ring.now + 1e-9);
    const after = withSectionsInOrder(
      design,
      ring.order.map(({ id }) => id),
    );
    const turned = planOf(after, { shelf, settings });
    // Another order lets later areas take a little more of one section and less of another.
    expect(Math.abs(ringOfSections(after, turned.blends).now - ring.cost)).toBeLessThan(0.5);
    expect(turned.areas.leftOver.area).toBeCloseTo(plan.areas.leftOver.area, 6);
    expect(after.blends).toEqual(design.blends);
    expect(after.coats).toEqual(design.coats);
    const widths = (of: typeof design) => of.areas.flatMap((area) => (area.kind === 'wedge' ? [`${area.id} ${area.width}`] : []));
    expect(widths(after)).toEqual(widths(design));
  });
  test('of unlike widths stand side by side', () => {
    const wide = {
      ...design,
      areas: design.areas.map((area) =>
        area.kind === 'wedge' ? { ...area, width: area.id === design.areas[0].id ? 80 : 56 } : area,
      ),
    };
    const ids = ringOfSections(wide, plan.blends).order.map(({ id }) => id);
    const after = withSectionsInOrder(wide, ids);
    const stand = ids
      .map((id) => after.areas.find((area) => area.id === id))
      .flatMap((area) => (area?.kind === 'wedge' ? [area] : []));
    stand.slice(1).forEach((area, i) => expect(area.from).toBeCloseTo((stand[i].from + stand[i].width) % 360, 9));
  });
  test('stay where they are while one of them is locked', () => {
    const locked = { ...design, areas: design.areas.map((area, i) => (i === 0 ? { ...area, locked: true } : area)) };
    const ids = ringOfSections(locked, plan.blends).order.map(({ id }) => id);
    expect(withSectionsInOrder(locked, ids)).toBe(locked);
  });
});

test('sections share their stretch by weight, line to line, and locked ones keep all as it is', () => {
  const { design } = demoFile('thistle-weave');
  const ids = sectionsWithBlends(design, planOf(design, demoFile('thistle-weave')).blends).map(({ id }) => id);
  const weights = { [ids[1]]: 2.5, [ids[4]]: 0.5 };
  const weighed = weighedSections(design, ids, weights);
  const before = design.areas.flatMap((area) => (area.kind === 'wedge' ? [area.width] : [])).reduce((sum, one) => sum + one, 0);
  expect(weighed.reduce((sum, { width }) => sum + width, 0)).toBeCloseTo(before, 9);
  expect(weighed[1].width / weighed[0].width).toBeCloseTo(2.5, 5);
  weighed.slice(1).forEach(({ from }, i) => expect(from).toBeCloseTo((weighed[i].from + weighed[i].width) % 360, 9));
  const after = withSectionsWeighed(design, ids, weights);
  expect(planOf(after, demoFile('thistle-weave')).areas.leftOver.area).toBeCloseTo(
    planOf(design, demoFile('thistle-weave')).areas.leftOver.area,
    4,
  );
  const locked = { ...design, areas: design.areas.map((area) => ({ ...area, locked: true })) };
  expect(withSectionsWeighed(locked, ids, weights)).toBe(locked);
});
