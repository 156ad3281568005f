import {
  areaFaults,
  areaHandles,
  areaKinds,
  areaMoved,
  areaSchema,
  circumferenceAt,
  cupSchema,
  designSchema,
  layoutOf,
  levelAt,
  levelHeight,
  planOf,
  regionArea,
  sectionsRound,
  snapLines,
  snapTo,
  startingArea,
  startingCup,
  typicalCups,
  withArea,
  withAreaChanged,
  withAreaOrder,
  withAreaTwice,
  withHandleMoved,
  withSections,
  withSectionsEqual,
  type Area,
  type AreaId,
  type AreaKindName,
  type Cup,
  type Design,
} from '../src';
import { coat, designWith, workshop } from './workshop';

const taper = cupSchema.parse({
  ...startingCup,
  stations: [
    { height: 0, circumference: 223.7 },
    { height: 201.3, circumference: 291.9 },
  ],
});
const mug = typicalCups.find((cup) => cup.shape === 'mug') ?? startingCup;
const made = (kind: AreaKindName, change: object = {}): Area =>
  areaSchema.parse({ ...startingArea(kind, 'x' as AreaId, 1, taper, 0), ...change });
const size = (area: Area, cup: Cup = taper) => layoutOf(cup, [area]).areas[0].area;
const sentence = (area: Area, cup: Cup = taper) => areaFaults(area, cup)[0]?.sentence ?? '';
const foot = (mm: number) => ({ by: 'foot' as const, mm });

describe('each kind of area', () => {
  test.each(Object.keys(areaKinds) as AreaKindName[])(
    '%s starts sound on any cup that can have it, and keeps its schema',
    (kind) => {
      for (const cup of typicalCups.filter(({ shape }) => shape !== 'stemmed')) {
        const area = startingArea(kind, 'x' as AreaId, 1, cup, 0);
        expect(areaSchema.parse(area)).toEqual(area);
        expect(areaFaults(area, cup)).toEqual([]);
        const [planned] = layoutOf(cup, [area]).areas;
        if (area.kind !== 'grip' && area.kind !== 'base') expect(planned.area).toBeGreaterThan(0.5);
      }
    },
  );
  test('a section is its share of the wall, leaning or not', () => {
    const coated = regionArea(taper.stations, layoutOf(taper, [made('band')]).areas[0].region);
    for (const lean of [0, 90, -400]) expect(size(made('wedge', { width: 60, lean }))).toBeCloseTo(coated / 6, 7);
  });
  test('teeth half above and half below leave a straight cup’s band its size', () => {
    const cup = cupSchema.parse({
      ...startingCup,
      shape: 'straight',
      stations: [
        { height: 0, circumference: 240 },
        { height: 180, circumference: 240 },
      ],
    });
    const plain = size(made('band', { lower: { level: foot(0) }, upper: { level: foot(90) } }), cup);
    for (const line of ['zigzag', 'wave'])
      expect(
        size(
          made('band', {
            lower: { level: foot(0) },
            upper: { level: foot(90), teeth: { line, count: 7, depth: 20, shift: 33 } },
          }),
          cup,
        ),
      ).toBeCloseTo(plain, 3);
  });
  test('a spiral’s stripe is as wide as a strip of tape: its area is width by length', () => {
    const cup = cupSchema.parse({
      ...startingCup,
      shape: 'straight',
      lipStrip: 0,
      stations: [
        { height: 0, circumference: 240 },
        { height: 180, circumference: 240 },
      ],
    });
    const length = Math.hypot(180, 3 * 240);
    expect(size(made('spiral', { pitch: 60, width: 5, upper: foot(180) }), cup)).toBeCloseTo((5 * length) / 100, 4);
    expect(size(made('spiral', { pitch: 60, width: 5, stripes: 3, hand: 'left', upper: foot(180) }), cup)).toBeCloseTo(
      (15 * length) / 100,
      4,
    );
  });
  test('a spot is a disc on the wall, at the seam as well', () => {
    for (const angle of [0, 180, 359])
      expect(size(made('window', { outline: { shape: 'spot' }, width: 30, angle }))).toBeCloseTo((Math.PI * 15 * 15) / 100, 1);
  });
  test('the handle’s patch stays bare and is taken from whatever lies there', () => {
    const layout = layoutOf(mug, [made('band', { lower: { level: foot(0) }, upper: { level: { by: 'rim', mm: 0 } } })]);
    expect(layout.barePatch.area).toBeCloseTo((12 * 40) / 100, 1);
    expect(layout.areas[0].area + layout.barePatch.area).toBeCloseTo(regionArea(mug.stations, layout.areas[0].own), 6);
    expect(layout.bareGrip).toBeCloseTo((68 * 34) / 100, 9);
  });
});

describe('what can’t be is said', () => {
  test.each<[string, Area, RegExp]>([
    ['an edge off the cup', made('band', { upper: { level: foot(230) } }), /reaches up to 230 mm, but this cup ends at 201.3 mm/],
    ['edges the wrong way round', made('band', { lower: { level: foot(90) }, upper: { level: foot(40) } }), /must end above/],
    [
      'crossing edges',
      made('band', { lower: { level: foot(60), teeth: { line: 'zigzag', count: 8, depth: 40 } }, upper: { level: foot(75) } }),
      /cross at [\d.]+° from the seam/,
    ],
    [
      'teeth below the foot',
      made('band', { lower: { level: foot(3), teeth: { line: 'wave', count: 8, depth: 20 } } }),
      /7 mm below the foot/,
    ],
    ['a level below the foot of a short cup', made('band', { lower: { level: { by: 'rim', mm: 250 } } }), /below the foot/],
    ['turns on each other', made('spiral', { pitch: 20, width: 25 }), /can be 19\.\d mm wide/],
    ['a wave over the rim', made('wave', { level: foot(185), swing: 60 }), /above the rim/],
    ['a motif wider than the cup', made('window', { width: 280 }), /can’t be wider than the cup/],
    ['a motif off the cup', made('window', { level: foot(300) }), /off this cup/],
    ['no room between the ends', made('scatter', { width: 20, lower: foot(0), upper: foot(15) }), /no room/],
  ])('%s', (_, area, words) => expect(sentence(area)).toMatch(words));
  test.each<[string, object, RegExp]>([
    ['10,000 motifs', { ...made('scatter'), count: 10_000 }, /2000 motifs are the most/],
    [
      'half a tooth',
      { ...made('band'), upper: { level: foot(50), teeth: { line: 'zigzag', count: 8.5, depth: 9 } } },
      /Teeth come whole/,
    ],
    ['an angle past the turn', { ...made('window'), angle: 400 }, /0 to 360°/],
    ['a kind nobody knows', { ...made('band'), kind: 'cloud' }, /An area is a band/],
  ])('%s', (_, area, words) => expect(areaSchema.safeParse(area).error?.issues[0].message).toMatch(words));
  test('a handle’s area on a cup without one, an underside on a sleeve, a scatter in nothing', () => {
    const faulty = (area: object, cup: object = designWith([]).cup) =>
      designSchema.safeParse({ ...designWith([]), cup, blends: [], areas: [{ ...area, name: 'A', id: 'x' }] }).error?.issues[0]
        .message;
    expect(faulty({ kind: 'grip' })).toMatch(/no handle/);
    expect(
      faulty(
        { kind: 'base' },
        typicalCups.find(({ shape }) => shape === 'sleeve'),
      ),
    ).toMatch(/open below/);
    expect(faulty({ ...made('scatter'), inside: 'gone' })).toMatch(/isn’t there/);
  });
});

describe('handles', () => {
  test.each(Object.keys(areaKinds) as AreaKindName[])('%s: moved to where it is it stays, moved elsewhere it follows', (kind) => {
    const area = made(kind);
    for (const handle of areaHandles(area, taper)) {
      const stayed = areaHandles(areaMoved(area, handle.key, handle, taper), taper).find(({ key }) => key === handle.key);
      expect(stayed?.angle).toBeCloseTo(handle.angle, 0);
      expect(stayed?.height).toBeCloseTo(handle.height, 0);
      const to = {
        angle: handle.goes === 'up' ? handle.angle : handle.angle + 9,
        height: handle.goes === 'round' ? handle.height : handle.height > 100 ? handle.height - 7 : handle.height + 7,
      };
      const moved = areaHandles(areaMoved(area, handle.key, to, taper), taper).find(({ key }) => key === handle.key);
      if (handle.goes === 'round') expect(moved?.angle).toBeCloseTo(to.angle, 0);
      else expect(moved?.height).toBeCloseTo(to.height, 0);
    }
  });
  test('a locked area has none, moves by none, and only lets itself be unlocked', () => {
    const design = { ...designWith([]), cup: taper, blends: [], areas: [made('band', { locked: true })] } as Design;
    expect(areaHandles(design.areas[0], taper)).toEqual([]);
    const id = 'x' as AreaId;
    expect(withHandleMoved(design, id, 'upper', { angle: 0, height: 50 }).areas[0]).toBe(design.areas[0]);
    expect(withAreaChanged(design, id, (area) => ({ ...area, name: 'Other' })).areas[0]).toBe(design.areas[0]);
    expect(withAreaChanged(design, id, (area) => ({ ...area, locked: false })).areas[0].locked).toBe(false);
  });
  test('lines that make sense take an edge that comes near', () => {
    const { heights, angles } = snapLines(designWith([]), 'low' as AreaId);
    expect(snapTo(84.2, heights, 2)).toMatchObject({ at: 85, says: 'half way up' });
    expect(snapTo(79.4, heights, 2)).toMatchObject({ at: 80, says: 'High' });
    expect(snapTo(358.9, angles, 2)).toMatchObject({ at: 360, says: 'the seam' });
    expect(snapTo(61.9, heights, 2)).toBeNull();
  });
});

describe('sections round a measured taper', () => {
  const ids = ['a', 'b', 'c', 'd', 'e', 'f'] as AreaId[];
  const six = withSections({ ...designWith([]), cup: taper, areas: [], blends: [] }, { ids, width: 60, lean: 75, start: 13.7 });
  test('six of them leave no sliver', () => {
    const { areas, leftOver } = planOf(six, workshop).areas;
    expect(leftOver.area).toBe(0);
    for (const area of areas) expect(area.area).toBeCloseTo(areas[0].area, 4);
    expect(areas[0].lowerWidth).toBeCloseTo(223.7 / 6, 4);
    expect(areas[0].upperWidth).toBeCloseTo(circumferenceAt(taper.stations, 191.3) / 6, 4);
  });
  test('seven and thirteen neither, from any line', () => {
    for (const count of [7, 13]) {
      const many = Array.from({ length: count }, (_, i) => `s${i}` as AreaId);
      const design = withSections(
        { ...designWith([]), cup: taper, areas: [], blends: [] },
        { ids: many, width: 360 / count, lean: 0, start: 101.3 },
      );
      expect(planOf(design, workshop).areas.leftOver.area).toBeLessThan(1e-3);
    }
  });
  test('a wanted width says what fits and what is left, and equal uses it up', () => {
    expect(sectionsRound(240, 38)).toEqual({ fit: 6, sliver: 12, equal: 40 });
    expect(sectionsRound(240, 240 / 7).fit).toBe(7);
    expect(sectionsRound(240, 500)).toMatchObject({ fit: 1, equal: 240 });
    const uneven = withSections(six, { ids, width: 50, lean: 0, start: 0 });
    expect(planOf(uneven, workshop).areas.leftOver.area).toBeGreaterThan(50);
    expect(planOf(withSectionsEqual(uneven), workshop).areas.leftOver.area).toBe(0);
  });
});

describe('areas in their order', () => {
  test('a copy steps aside, takes blend and coats along, and gets a name of its own', () => {
    const design = designWith([{ ...coat.glitter, on: ['low'] }]);
    const twice = withAreaTwice(design, 'low' as AreaId, 'copy' as AreaId);
    expect(twice.areas.map(({ name }) => name)).toEqual(['Low', 'Low 2', 'High']);
    expect(twice.blends.find(({ area }) => area === 'copy')?.parts).toEqual(design.blends[0].parts);
    expect(twice.coats[0]).toMatchObject({ on: ['low', 'copy'] });
    expect(designSchema.safeParse(twice).success).toBe(true);
  });
  test('further down lies on top', () => {
    const design = withArea(designWith([]), 'x' as AreaId, 'wedge');
    const on = planOf(design, workshop).areas.areas[2].area;
    const under = planOf(withAreaOrder(design, 2, 0), workshop).areas.areas[0].area;
    expect(on).toBeGreaterThan(100);
    expect(under).toBe(0);
    expect(planOf(withAreaOrder(design, 2, 0), workshop).findings.map(({ rule }) => rule)).toContain('area under others');
  });
  test('levels keep their meaning: a share follows the cup, mm stay', () => {
    const tall = cupSchema.parse({ ...taper, stations: [taper.stations[0], { height: 302.6, circumference: 300 }] });
    expect(levelHeight({ by: 'share', share: 0.5 }, tall)).toBeCloseTo(146.3, 9);
    expect(levelHeight({ by: 'rim', mm: 20 }, tall)).toBeCloseTo(272.6, 9);
    for (const by of ['foot', 'rim', 'share'] as const) expect(levelHeight(levelAt(77.3, by, taper), taper)).toBeCloseTo(77.3, 1);
  });
  test('a mask is cut out: no glue and no glitter there, paint and resin as everywhere', () => {
    const coats = [coat.base, coat.wipe, coat.glitter, coat.resin];
    const open = planOf(designWith(coats), workshop);
    const masked = designWith(coats);
    const plan = planOf(
      withAreaChanged(masked, 'high' as AreaId, (area) => ({ ...area, masked: true })),
      workshop,
    );
    expect(plan.coats[0].area).toBeCloseTo(open.coats[0].area ?? 0, 9);
    expect(plan.coats[1].area).toBeLessThan((open.coats[1].area ?? 0) - 100);
    expect(plan.coats[2].pours.map(({ area }) => area)).toEqual(['low']);
    expect(plan.coats[3].area).toBeCloseTo(open.coats[3].area ?? 0, 9);
  });
});

test('a design of version 1 is read as one of this version', () => {
  const old = { ...designWith([]), version: 1, areas: [{ kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 }], blends: [] };
  const read = designSchema.parse(old);
  expect(read).toMatchObject({
    version: 2,
    areas: [{ kind: 'band', lower: { level: { by: 'foot', mm: 0 } }, upper: { level: { by: 'foot', mm: 80 } } }],
  });
  expect(designSchema.parse(read)).toEqual(read);
});
