import fc from 'fast-check';
import {
  dulledWord,
  meetingOf,
  neighbourCost,
  planOf,
  planRing,
  ringBound,
  RingError,
  ringOfSections,
  ringOrder,
  ringWords,
  withSectionsInOrder,
  type RingColour,
} from '../src';
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
    expect(planRing(many(8), 'c5').order[0].id).toBe('c5');
    expect(ringWords(planRing(many(8)), false)).toMatch(/^\d+ % cleaner than the order now\./);
    expect(ringWords(planRing(many(8)), true)).toMatch(/^The sections stand so already\./);
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
