import {
  cardOf,
  designSchema,
  faultsOf,
  fieldBeside,
  fieldPlanOf,
  metricUnits,
  passWords,
  planOf,
  potLine,
  pouringOrder,
  strewnAreas,
  type AreaId,
  type Design,
  type Fade,
  type FadeWay,
} from '../src';
import { fadeHelps, withFade, withFadeBegun, withFadeBetween, withoutFade, withStopBase, withStopParts } from '../src';
import { templatesOf, usualWishes } from '../src/templates';
import { coat, demoFile, designWith, jar, workshop } from './workshop';

const id = (text: string) => text as AreaId;
const noon = demoFile('apiary-noon');
const plan = planOf(noon.design, noon);

/** A demo design with one of its areas fading its way. */
function fading(name: Parameters<typeof demoFile>[0], area: string, way: FadeWay, pots = 5): Design {
  const { design } = demoFile(name);
  const one = design.areas.find((each) => each.name === area);
  if (!one) throw new Error(`no ${area}`);
  const blended = design.blends.some((blend) => blend.area === one.id)
    ? design
    : { ...design, blends: [...design.blends, { ...design.blends[0], area: one.id }] };
  const begun = withFadeBegun(blended, one.id, 1.5);
  return designSchema.parse(withFade(begun, one.id, (fade) => ({ ...fade, way, pots, overlap: 1 })));
}

describe('pots of a design', () => {
  test.each([
    ['thistle-weave', 'up'],
    ['thistle-weave', 'down'],
    ['thistle-weave', 'middle'],
    ['thistle-weave', 'round'],
    ['thistle-weave', 'spiral'],
    ['slate-and-saffron', 'up'],
    ['apiary-noon', 'up'],
    ['apiary-noon', 'spiral'],
    ['copper-eaves', 'round'],
    ['copper-eaves', 'spiral'],
  ] as const)('of any area of %s, %s, take its surface and nothing else', (name, way) => {
    for (const { name: area, kind } of demoFile(name).design.areas) {
      if (kind === 'base' || kind === 'grip') continue;
      const design = fading(name, area, way);
      const { fades, areas } = planOf(design, demoFile(name));
      const { slices, refused, area: id } = fades.find((one) => one.areaName === area) ?? fades[0];
      const whole = areas.areas.find((one) => one.name === area)?.area ?? NaN;
      expect(slices).toHaveLength(5);
      expect(slices.reduce((sum, slice) => sum + slice.area, 0)).toBeCloseTo(whole, 5);
      if (refused !== null) continue;
      const fade = design.fades.find((one) => one.area === id);
      const of = design.areas.find((one) => one.id === id);
      const planned = areas.areas.find((one) => one.id === id);
      const strewn = fade && of && planned ? strewnAreas(fade, of, planned, design.cup) : [];
      for (const [i, slice] of slices.entries()) expect(strewn[i]).toBeGreaterThanOrEqual(slice.area - 1e-6);
    }
  });
  test('are measured from the foot, though the fade begins at the rim', () => {
    const down = planOf(
      withFade(noon.design, id('noon'), (fade) => ({ ...fade, way: 'down' })),
      noon,
    ).fades[0].slices;
    expect(down[0].stretches[0].to).toBeCloseTo(168, 9);
    expect(down[6].stretches[0].from).toBeCloseTo(0, 9);
  });
  test('both ways lie twice, the first in one piece', () => {
    const { fades } = planOf(fading('copper-eaves', 'Foot', 'middle', 3), demoFile('copper-eaves'));
    expect(fades[0].slices.map(({ stretches }) => stretches.length)).toEqual([1, 2, 2]);
    const [first, second] = fades[0].slices;
    expect(second.stretches[0].to).toBeCloseTo(first.stretches[0].from, 6);
    expect(second.stretches[1].from).toBeCloseTo(first.stretches[0].to, 6);
  });
  test('are poured as planned: what is seen, and what the jars give', () => {
    const [{ laid }] = plan.fades;
    expect(laid?.pots).toHaveLength(7);
    for (const pot of laid?.pots ?? []) {
      expect(plan.finished[pot.id]).toBe(pot.seen);
      const pour = plan.coats.flatMap(({ pours }) => pours).find(({ area }) => area === pot.id);
      expect(pour?.kept).toBeCloseTo(pot.kept, 9);
      expect(pour?.ml).toBeCloseTo(pot.ml, 9);
      expect(pour?.castOff).toBeCloseTo(pot.castOff, 6);
    }
    const poured = (laid?.pots ?? []).reduce((sum, { ml }) => sum + ml, 0);
    expect(plan.totals.glitterMl).toBeCloseTo(poured + 2, 9);
  });
  test('follow the cup: more wall takes more', () => {
    const wide = {
      ...noon.design.cup,
      stations: noon.design.cup.stations.map((one) => ({ ...one, circumference: one.circumference * 1.3 })),
    };
    const total = (of: typeof plan) =>
      (of.fades[0].laid?.pots.reduce((sum, { ml }) => sum + ml, 0) ?? 0) - (of.fades[0].laid?.surplus.ml ?? 0);
    expect(total(planOf({ ...noon.design, cup: wide }, noon))).toBeGreaterThan(1.15 * total(plan));
  });
  test('begun with cast-off draw less from the jars, though as much is poured', () => {
    const [plain, saving] = [false, true].map((castOff) =>
      planOf(
        withFade(noon.design, id('noon'), (fade) => ({
          ...fade,
          depth: 2,
          castOff,
          stops: [fade.stops[0], { ...fade.stops[2], parts: [{ item: jar('bee-line').id, ml: 1 }], cover: 1 }],
        })),
        noon,
      ),
    );
    const again = saving.fades[0].laid?.pots.reduce((sum, { fromCastOff }) => sum + fromCastOff, 0) ?? 0;
    const poured = saving.coats.flatMap(({ pours }) => pours).reduce((sum, { ml }) => sum + ml, 0);
    expect(again).toBeGreaterThan(0);
    expect(saving.totals.glitterMl).toBeCloseTo(poured - again, 6);
    expect(saving.totals.glitterMl).toBeLessThan(plain.totals.glitterMl);
  });
  test('a coat on the area lies on all its pots', () => {
    const design = withFadeBegun(
      designWith([coat.base, { ...coat.wipe, on: ['low'] }, { ...coat.glitter, on: ['low'] }]),
      id('low'),
      1.5,
    );
    const { coats, fades } = planOf(designSchema.parse(design), workshop);
    expect(coats[2].pours.map(({ area }) => area)).toEqual(fades[0].slices.map((slice) => slice.id));
    expect(coats[1].where).toBe('Low');
  });
});

describe('the demo’s fade', () => {
  test('shows, with no alarm and no step over 1.6 × the smallest', () => {
    expect(plan.fades[0].laid?.unevenness).toBeLessThanOrEqual(1.6);
    expect(plan.fades[0].laid?.verdict.level).toBe('shows');
    expect(plan.findings.filter(({ rule }) => /fade|last pot/.test(rule))).toEqual([]);
  });
  test('can be laid from the card alone, and from the printed strip alone', () => {
    const [fade] = plan.fades;
    const offer = templatesOf(noon.design, plan).find((one) => one.id === 'fade noon');
    const strip = offer?.draw(usualWishes);
    const words = [...(strip?.says ?? []), ...(strip?.sheets.flatMap((sheet) => sheet.words.map(({ text }) => text)) ?? [])].join(
      '\n',
    );
    fade.laid?.pots.forEach((pot, i) => {
      expect(words).toContain(potLine(pot, i + 1, metricUnits));
      for (const { ml, name } of pot.spoons) expect(words).toContain(`${ml.toFixed(1)} ml ${name}`);
    });
    for (const line of [pouringOrder(fade), ...passWords(fade)]) expect(words).toContain(line);
    const card = cardOf(plan, noon.design, noon.settings);
    expect(card.areas.map(({ name }) => name)).toEqual([...(fade.laid?.pots ?? []).map(({ name }) => name), 'Cells']);
    expect(card.coats.flatMap(({ amounts }) => amounts).join('\n')).toContain(pouringOrder(fade));
  });
  test('the strip marks each bound at its length along the wall, and where neighbours overlap', () => {
    const [sheet] =
      templatesOf(noon.design, plan)
        .find((one) => one.id === 'fade noon')
        ?.draw(usualWishes).sheets ?? [];
    const lines = sheet.lines.filter(({ role }) => role === 'mark');
    const ticks = lines.filter(({ closed }) => !closed).map(({ points }) => points[0][1]);
    const laps = lines
      .filter(({ closed, points }) => closed && points[1][0] - points[0][0] < 10)
      .map(({ points }) => Math.abs(points[2][1] - points[0][1]));
    // A straight cup: along the wall is straight up.
    expect(Math.max(...ticks) - Math.min(...ticks)).toBeCloseTo(168, 6);
    expect(new Set(ticks.map((tick) => tick.toFixed(3))).size).toBe(8);
    for (const lap of laps) expect(lap).toBeCloseTo(6, 6);
  });
  test('half of it in equal spoons is another picture, on its half only', () => {
    const whole = fieldPlanOf(plan);
    const split = fieldBeside(whole, plan, id('noon'), 'equal');
    expect(split.places).toHaveLength(whole.places.length + 7);
    const own = split.looks['noon/pot-4'].findLast(({ layer }) => layer === 'flakes');
    const beside = split.looks['noon/pot-4/beside'].findLast(({ layer }) => layer === 'flakes');
    expect(own).not.toEqual(beside);
    for (const { id: place, region } of split.places.filter(({ area }) => area === 'noon'))
      for (const [angle] of region.flat(2)) expect(place.endsWith('/beside') ? angle >= 180 : angle <= 180).toBe(true);
  });
});

describe('a fade in a design', () => {
  const before = designWith([coat.base, coat.wipe, coat.glitter]);
  const begun = withFadeBegun(before, id('low'), 1.5);
  const with_ = (change: (fade: Fade) => unknown) => designSchema.safeParse({ ...begun, fades: [change(begun.fades[0])] });
  const sentence = (change: (fade: Fade) => unknown) => {
    const read = with_(change);
    return read.success
      ? ''
      : faultsOf(read.error)
          .map((fault) => fault.sentence)
          .join(' ');
  };
  test('begins with the area’s blend and gives it back', () => {
    expect(begun.fades[0].stops.map(({ cover, parts }) => [cover, parts[0].item])).toEqual([
      [1, 'penny-rain'],
      [0, 'penny-rain'],
    ]);
    expect(withoutFade(begun, id('low'))).toEqual(before);
  });
  test.each([
    ['one stop', (fade: Fade) => ({ ...fade, stops: fade.stops.slice(1) }), /One stop is one colour/],
    [
      'stops in the wrong order',
      (fade: Fade) => ({
        ...fade,
        stops: [
          { ...fade.stops[0], at: 0.9 },
          { ...fade.stops[1], at: 0.2 },
        ],
      }),
      /Stop 2 must lie after stop 1.*or swap the two/,
    ],
    [
      'all bare',
      (fade: Fade) => ({ ...fade, stops: fade.stops.map((stop) => ({ ...stop, cover: 0 })) }),
      /from bare to bare shows nothing/,
    ],
    [
      'fewer pots than stops',
      (fade: Fade) => ({ ...fade, pots: 2, stops: [0, 0.5, 1].map((at) => ({ ...fade.stops[0], at })) }),
      /take at least 3/,
    ],
    ['forty pots', (fade: Fade) => ({ ...fade, pots: 40 }), /no hand lays in time/],
    ['an area that isn’t there', (fade: Fade) => ({ ...fade, area: 'gone' }), /No area has the id “gone”/],
  ])('%s is a sentence', (_, change, says) => expect(sentence(change)).toMatch(says));
  test('a base under a stop tells the base coat to lay it', () => {
    const changed = designSchema.parse(withStopBase(begun, id('low'), 1, 'honey' as never));
    expect(changed.coats[0]).toMatchObject({ kind: 'base', fading: true });
    const { coats, fades } = planOf(changed, workshop);
    expect(coats[0].does).toMatch(/mist one paint into the next/);
    const both = designSchema.parse(withStopBase(changed, id('low'), 0, 'soft-black' as never));
    const card = cardOf(planOf(both, workshop), both, workshop.settings);
    expect(card.coats[0].amounts.join('\n')).toMatch(/^Low 0–\d[\d.]* mm Soft black$/m);
    // What is misted in the fade’s paints is none of the coat’s own.
    const [one, other] = [begun, both].map((design) => planOf(design, workshop).coats[0].uses[0].amount);
    expect(other).toBeLessThan(one);
    expect(card.coats[0].amounts.join('\n')).toMatch(/Low [\d.–]+ mm Soft black \d : \d Honey/);
    const poorer = { ...workshop, shelf: workshop.shelf.filter((item) => item.id !== 'honey') };
    expect(planOf(changed, poorer).findings.map(({ says }) => says)).toContain(
      'A paint under this fade isn’t on the shelf any more.',
    );
    expect(fades[0].under[1]).not.toBe(fades[0].under[0]);
  });
  test('what would help a fade of sisters is taken in one press, and helps', () => {
    const sisters = withFade(begun, id('low'), (fade) =>
      withStopParts(withStopParts({ ...fade, pots: 3 }, 0, [{ item: jar('bee-line').id, ml: 1 }]), 1, [
        { item: jar('bee-line').id, ml: 6 },
        { item: jar('brickfield').id, ml: 1 },
      ]),
    );
    const helps = fadeHelps(sisters, workshop, planOf(sisters, workshop).fades[0]);
    const other = helps.find(({ says }) => says.includes('as the last stop'));
    expect(other).toBeDefined();
    const helped = planOf(other?.design ?? sisters, workshop).fades[0].laid;
    expect(helped?.span).toBeGreaterThanOrEqual(9.5);
  });
  test('a fade with plain steps is told how many pots hide them', () => {
    const wide = withFade(begun, id('low'), (fade) =>
      withStopParts({ ...fade, pots: 2, overlap: 2 }, 1, [{ item: jar('kiln-ash').id, ml: 1 }]),
    );
    const [help] = fadeHelps(wide, workshop, planOf(wide, workshop).fades[0]);
    expect(help.says).toMatch(/^\d+ pots: then no step is seen from arm’s length\./);
  });
});

test('an area without a blend fades from one jar into another; taken off again, it is as it was', () => {
  const { design } = demoFile('copper-eaves');
  const [one] = design.areas;
  const bare = { ...design, blends: [], fades: [] };
  const fading = withFadeBetween(bare, one.id, jar('brickfield').id, jar('bee-line').id);
  expect(designSchema.safeParse(fading).success).toBe(true);
  expect(fading.fades).toMatchObject([{ area: one.id, stops: [{ cover: 1 }, { cover: 1 }] }]);
  const [planned] = planOf(fading, workshop).fades;
  expect(planned.laid?.pots.length).toBeGreaterThan(2);
  expect(withoutFade(fading, one.id)).toEqual(bare);
  expect(withFadeBetween(fading, one.id, jar('bee-line').id, jar('brickfield').id)).toBe(fading);
});
