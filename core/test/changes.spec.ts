import {
  coatedHeight,
  withCoatMoved,
  planOf,
  scaledBlend,
  startingDesign,
  startingItem,
  shelfItemSchema,
  usualCoats,
  withArea,
  withBandsEven,
  withBlendFrom,
  withParts,
  withCupFitted,
  withCut,
  withPart,
  withPartMl,
  withoutArea,
  withoutPart,
  designSchema,
  type AreaId,
  type Design,
  type ItemOf,
  type ShelfItemId,
} from '../src';
import { coat, demoFile, designWith, ids, workshop } from './workshop';

const low = 'low' as AreaId;
const high = 'high' as AreaId;
const rain = 'penny-rain' as ShelfItemId;
const sound = (design: unknown) => expect(designSchema.safeParse(design).success).toBe(true);

describe('areas', () => {
  test('a new band goes on top of the others, or halfway when there is no room', () => {
    const half = designWith([], { areas: [{ kind: 'band', id: 'low', name: 'Low', from: 0, to: 60 }], blends: [] });
    const between = (design: Design) => {
      const { from, to } = planOf(design, workshop).areas.areas[design.areas.length - 1];
      return [from, to];
    };
    expect(between(withArea(half, 'x' as AreaId, 'band'))).toEqual([60, 170]);
    expect(between(withArea(designWith([]), 'x' as AreaId, 'band'))).toEqual([85, 170]);
  });
  test('an even split ends at the lip and keeps the underside', () => {
    const design = withArea(designWith([coat.glitter]), 'under' as AreaId, 'base');
    const split = withBandsEven(design, ['a', 'b', 'c'] as AreaId[]);
    expect(planOf(split, workshop).areas.areas.map(({ to, name }) => to ?? name)).toEqual([
      57,
      113,
      coatedHeight(design.cup),
      'Underside',
    ]);
    expect(split.blends).toEqual([]);
    sound(split);
  });
  test('on another cup, heights keep their share of the coated wall, for any cup', () => {
    const decal = { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 85 };
    for (const height of [60, 118, 205, 400]) {
      const design = designWith([coat.base, decal]);
      const cup = { ...design.cup, stations: [design.cup.stations[0], { height, circumference: 250 }] };
      const fitted = withCupFitted(design, cup);
      sound(fitted);
      const [below, above] = planOf(fitted, workshop).areas.areas;
      expect([below?.from, above?.to]).toEqual([0, height - 10]);
      expect(below?.to).toBe(above?.from);
      expect(below?.to).toBeCloseTo((80 / 170) * (height - 10), 0);
      expect(planOf(fitted, workshop).areas.leftOver.area).toBeCloseTo(0, 9);
      expect(fitted.coats[1]).toMatchObject({ centre: (height - 10) / 2 });
    }
  });
  test('teeth and waves shrink with the cup, so that neighbours still meet', () => {
    const { design } = demoFile('copper-eaves');
    const { design: small } = demoFile('slate-and-saffron');
    const fitted = withCupFitted(design, small.cup);
    sound(fitted);
    expect(planOf(fitted, workshop).areas.leftOver.area).toBeLessThan(0.05);
  });
  test('an area takes its blend along when it goes; coats on it alone go on everything', () => {
    const design = withoutArea(
      designWith([
        { ...coat.glitter, on: ['low'] },
        { ...coat.press, on: ['low', 'high'] },
      ]),
      low,
    );
    expect(design.blends.map((blend) => blend.area)).toEqual(['high']);
    expect(design.coats.map((one) => ('on' in one ? one.on : null))).toEqual(['all', ['high']]);
    sound(design);
  });
});

describe('blends', () => {
  test('parts come, change and go; the last one takes the blend with it', () => {
    const design = designWith([]);
    expect(withPart(design, low, rain, 3)).toEqual(design);
    expect(withPartMl(design, low, rain, 8).blends[0].parts).toEqual([{ item: 'penny-rain', ml: 8 }]);
    expect(withoutPart(design, low, rain).blends.map((blend) => blend.area)).toEqual(['high']);
    expect(withPart(withoutPart(design, low, rain), low, rain, 2).blends.at(-1)).toEqual({
      area: 'low',
      parts: [{ item: 'penny-rain', ml: 2 }],
    });
    expect(withBlendFrom(design, high, low).blends[0].parts).toEqual(design.blends[1].parts);
  });
  const brought = (design: Design, ml: number) =>
    withParts(design, high, [...scaledBlend(planOf(design, workshop).blends[1], workshop.shelf, ml, 0.5).parts]);
  test('a total is reached or passed on the spoon, in the same proportions', () => {
    const parts = brought(designWith([]), 10.2).blends[1].parts.map((part) => part.ml);
    expect(parts).toEqual([7, 3.5]);
  });
  test('brought to 95 % cover, the plan says at least that', () => {
    const design = designWith([coat.base, coat.wipe, coat.glitter, coat.wipe, coat.glitter]);
    const target = planOf(design, workshop).blends[1].forCover;
    const plan = planOf(brought(design, target.ml ?? 0), workshop);
    expect(1 - plan.blends[1].bare).toBeGreaterThanOrEqual(target.share);
    expect(1 - plan.blends[1].bare).toBeLessThan(target.share + 0.03);
  });
});

describe('coats', () => {
  test('the usual order is sound on any cup with a stocked shelf, and short without one', () => {
    const design = startingDesign('d', 'New', designWith([]).cup);
    let next = 0;
    const newId = () => `n${(next += 1)}`;
    const coats = usualCoats(design, workshop, newId);
    sound({ ...design, coats });
    expect(coats.map((one) => one.kind)).toEqual(['prep', 'base', 'glue', 'glitter', 'resin', 'sand', 'resin', 'rest']);
    expect(usualCoats(design, { ...workshop, shelf: [] }, newId).map((one) => one.kind)).toEqual(['prep', 'glitter', 'rest']);
  });
  test('a coat moves and the others close up', () => {
    const design = designWith([coat.base, coat.wipe, coat.glitter]);
    expect(ids(withCoatMoved(design, 0, 2))).toEqual(['coat-1', 'coat-2', 'coat-0']);
    expect(withCoatMoved(design, 1, 1)).toBe(design);
  });
});

test('a new item of every kind is sound; a cut brings its usual flake', () => {
  for (const kind of ['glitter', 'ink', 'paint', 'resin', 'glue'] as const)
    expect(shelfItemSchema.safeParse(startingItem(kind, 'x')).success).toBe(true);
  const jar = startingItem('glitter', 'x') as ItemOf<'glitter'>;
  expect(withCut(jar, 2.5).flake).toMatchObject({ cut: 2.5, thickness: 100, solidShare: 0.26, colour: jar.flake.colour });
});
