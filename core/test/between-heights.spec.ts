import fc from 'fast-check';
import { cardOf, coatSchema, designSchema, heightOf, planOf, regionArea, withCupFitted, type Plan } from '../src';
import { placeAt } from '../src/section';
import { anyDesign, anyWorkshop } from './any-design';
import { coat, demoFile, designWith, workshop } from './workshop';

const planned = (...coats: readonly object[]) => planOf(designWith(coats), workshop);
const between = (from: number, to: number) => ({ between: { from, to } });
const blackTo40 = { ...coat.base, paint: 'soft-black', ...between(0, 40) };
const at = (plan: Plan, height: number) => placeAt(plan, { angle: 180, height });
const colourAt = (plan: Plan, height: number) => plan.finished[at(plan, height).id ?? ''];
const sizeOf = (plan: Plan, { stations }: { stations: Parameters<typeof regionArea>[0] }) =>
  plan.places.reduce((sum, { region }) => sum + regionArea(stations, region), 0);

test('a coat between heights colours the wall there and nowhere else', () => {
  const plan = planned(coat.base, blackTo40);
  expect(at(plan, 20).name).toBe('Low, lower part');
  expect(at(plan, 60).name).toBe('Low, upper part');
  expect(at(plan, 60).area).toBe('low');
  expect(colourAt(plan, 20)).not.toBe(colourAt(plan, 60));
  expect(colourAt(plan, 60)).toBe(colourAt(planned(coat.base), 60));
  expect(plan.coats[1].where).toBe('the whole cup, from 0 mm to 40 mm above the foot');
});

test('parts of an area are together as large as it, and its coats pay for no more', () => {
  const design = designWith([
    coat.base,
    blackTo40,
    { ...coat.resin, ...between(40, 120) },
    { ...coat.resin, ...between(120, 600) },
  ]);
  const plan = planOf(design, workshop);
  const whole = planned(coat.base, coat.resin);
  expect(sizeOf(plan, design.cup)).toBeCloseTo(sizeOf(whole, design.cup), 6);
  const [, lower, middle, upper] = plan.coats.map(({ area }) => area ?? 0);
  // The underside of the base lies at no height of the wall.
  expect(lower + middle + upper).toBeCloseTo((whole.coats[1].area ?? 0) - whole.areas.bareBase, 6);
  expect(plan.coats[2].mix?.film).toBeCloseTo((0.45 * middle) / 10, 6);
});

test('an area that is parted gets its one pour; a pour between heights is measured for the wall there', () => {
  const design = designWith([coat.base, coat.wipe, { ...coat.glitter }, { ...coat.resin, ...between(0, 30) }]);
  const plan = planOf(design, workshop);
  const whole = planned(coat.base, coat.wipe, coat.glitter, coat.resin);
  expect(plan.coats[2].pours.map(({ area, ml }) => [area, ml])).toEqual([
    ['low', 6],
    ['high', 6],
  ]);
  expect(plan.coats[2].pours[0].kept).toBeCloseTo(whole.coats[2].pours[0].kept, 9);
  expect(plan.blends[0].kept).toBeCloseTo(whole.blends[0].kept, 9);
  expect(plan.totals.glitters).toEqual(whole.totals.glitters);
  const halves = planned(coat.base, coat.wipe, { ...coat.glitter, ...between(0, 30) }, coat.wipe, {
    ...coat.glitter,
    ...between(30, 170),
  });
  const [first, second] = [halves.coats[2], halves.coats[4]].map(
    ({ pours }) => pours.find(({ area }) => area === 'low')?.ml ?? 0,
  );
  expect(first + second).toBeCloseTo(6, 9);
  expect(first / second).toBeCloseTo((halves.coats[2].area ?? 0) / ((at(halves, 60).id && sizeAt(halves, 60)) || 1), 6);
});

const sizeAt = (plan: Plan, height: number) =>
  regionArea(designWith([]).cup.stations, plan.places.find(({ id }) => id === at(plan, height).id)?.region ?? []);

test('tape between heights keeps paint off just there', () => {
  const taped = planned(
    coat.base,
    { kind: 'mask', on: 'all', ...between(50, 80) },
    { ...blackTo40, between: undefined },
    { kind: 'unmask', on: 'all' },
  );
  expect(colourAt(taped, 60)).toBe(colourAt(planned(coat.base), 60));
  expect(colourAt(taped, 20)).toBe(colourAt(taped, 100));
  expect(colourAt(taped, 20)).not.toBe(colourAt(taped, 60));
});

test('what no area covers is parted too', () => {
  const design = designWith([coat.base, { ...blackTo40, ...between(0, 90) }], {
    areas: [{ kind: 'band', id: 'low', name: 'Low', from: 0, to: 60 }],
    blends: [],
  });
  const plan = planOf(design, workshop);
  expect(at(plan, 75).area).toBeNull();
  expect(colourAt(plan, 75)).toBe(colourAt(plan, 20));
  expect(colourAt(plan, 120)).toBe(colourAt(planned(coat.base), 120));
});

test('a fade keeps its pots where a coat ends in the middle of one', () => {
  const { design, shelf, settings } = demoFile('slate-and-saffron');
  const before = planOf(design, { shelf, settings });
  const last = design.coats.findLast(({ kind }) => kind === 'resin');
  const plan = planOf(designSchema.parse({ ...design, coats: [...design.coats, { ...last, id: 'more', ...between(33, 61) }] }), {
    shelf,
    settings,
  });
  expect(plan.fades.map(({ laid }) => laid?.pots.map(({ ml }) => ml))).toEqual(
    before.fades.map(({ laid }) => laid?.pots.map(({ ml }) => ml)),
  );
  expect(plan.totals.glitters).toEqual(before.totals.glitters);
  expect(plan.places.length).toBeGreaterThan(before.places.length);
  for (const { area, slices } of plan.fades)
    for (const height of [20, 40, 60, 80]) {
      const place = at(plan, height);
      if (place.area !== area) continue;
      const pot = slices.find(({ id }) => place.id === id || place.id?.startsWith(`${id}/`));
      expect(plan.finished[place.id ?? '']).toBe(before.finished[pot?.id ?? '']);
    }
});

test('the card tells each area’s parts from the foot up, and nothing of what no area covers', () => {
  const areas = [{ kind: 'band', id: 'low', name: 'Low', from: 0, to: 60 }];
  const design = designWith([coat.base, blackTo40], { areas, blends: [] });
  const plan = planOf(design, workshop);
  const card = cardOf(plan, design, workshop.settings);
  expect(card.grows).toContain('parts of one from the foot up');
  expect(card.coats[1].seen).toEqual([colourAt(plan, 20), colourAt(plan, 50)]);
  const plain = designWith([coat.base], { areas, blends: [] });
  expect(cardOf(planOf(plain, workshop), plain, workshop.settings).grows).not.toContain('parts of one');
});

test('heights that no wall lies between are told, with a way out', () => {
  const plan = planned(coat.base, { ...blackTo40, ...between(400, 500) });
  const found = plan.findings.find(({ rule }) => rule === 'coat on nothing');
  expect(found?.why).toContain('between its heights');
  expect(found?.fix).not.toBeNull();
});

test('heights upside down, on each other or off any cup are refused in words', () => {
  const read = (heights: object) => coatSchema.safeParse({ ...coat.base, id: 'a', between: heights });
  expect(read({ from: 10, to: 11 }).success).toBe(true);
  for (const heights of [
    { from: 30, to: 20 },
    { from: 30, to: 30 },
    { from: -1, to: 20 },
    { from: 0, to: 601 },
  ])
    expect(read(heights).error?.issues[0].message).toMatch(/height|tall/);
});

test('on another cup a coat keeps its share of the wall', () => {
  const design = designWith([blackTo40]);
  const taller = {
    ...design.cup,
    stations: design.cup.stations.map((one) => ({ ...one, height: one.height * 2 })),
    lipStrip: 20,
  };
  const [fitted] = withCupFitted(design, taller).coats;
  expect(fitted).toMatchObject(between(0, 80));
  expect(heightOf(taller)).toBe(360);
});

test('any coats between any heights: the places are the wall, each with a colour', () => {
  fc.assert(
    fc.property(anyDesign, anyWorkshop, (design, over) => {
      const plan = planOf(design, over);
      const { areas, leftOver } = plan.areas;
      const wall = [...areas.map(({ region }) => region), leftOver.region].reduce(
        (sum, region) => sum + regionArea(design.cup.stations, region),
        0,
      );
      const parts = sizeOf(plan, design.cup) + regionArea(design.cup.stations, plan.leftOver);
      // Slivers under a two-hundredth of a cm² are no part of their own.
      expect(Math.abs(wall - parts)).toBeLessThan(0.005 * (1 + plan.places.length));
      for (const { id } of plan.places) expect(plan.finished[id]).toMatch(/^#[0-9a-f]{6}$/);
    }),
    { numRuns: 60 },
  );
});
