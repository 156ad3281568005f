import {
  bandRegion,
  deltaE2000,
  FadeError,
  fadeOfArea,
  planFade,
  planOf,
  reflectanceOf,
  wallArea,
  wallLength,
  withPots,
  designSchema,
  type AreaId,
  type FadeMix,
  type FadeWish,
} from '../src';
import { templatesOf, usualWishes } from '../src/templates';
import { blendOf, demoFile, designWith, jar, workshop } from './workshop';

const { design } = demoFile('apiary-noon');
const mix = (...ids: string[]): FadeMix => ({
  name: ids.join(' and '),
  parts: ids.map((id) => ({ item: jar(id).id, name: jar(id).name, glitter: jar(id).flake, ml: 1 })),
});
const wish = (change: Partial<FadeWish> = {}): FadeWish => ({
  from: mix('bee-line'),
  to: mix('brickfield'),
  pots: 5,
  low: 20,
  high: 178,
  areaBetween: (from, to) => wallArea(design.cup.stations, from, to),
  overlap: 12,
  hold: 2.4,
  passes: 1,
  depth: 1.7,
  under: reflectanceOf('#d9a441'),
  step: 0.5,
  ...change,
});

describe('a fade in pots', () => {
  test.each([
    ['two jars', wish()],
    ['light and dark', wish({ from: mix('candle-end'), to: mix('kiln-ash') })],
    ['mixes of several', wish({ from: mix('bee-line', 'penny-rain'), to: mix('kiln-ash', 'gatepost') })],
    ['an opal end', wish({ from: mix('kiln-ash'), to: mix('first-frost') })],
  ])('between %s changes in like steps on the spoon, or says which pot to measure finer', (_, asked) => {
    const { pots, unevenness, verdict } = planFade(asked);
    expect(pots).toHaveLength(5);
    for (const pot of pots) {
      for (const ml of [pot.ofFrom, pot.ofTo]) expect((ml / 0.5) % 1).toBeCloseTo(0, 9);
      expect(pot.parts.reduce((sum, part) => sum + part.ml, 0)).toBeCloseTo(pot.ml, 9);
      expect(pot.bare).toBeLessThanOrEqual(Math.exp(-1.7) + 0.005);
    }
    if (unevenness > 1.6) expect(verdict.why).toMatch(/Measure pot \d with a finer spoon/);
    else expect(verdict.level).toBe('shows');
    const shares = pots.map(({ ofTo, ml }) => ofTo / ml);
    expect(shares).toEqual([...shares].sort((one, other) => one - other));
    expect([shares[0], shares[4]]).toEqual([0, 1]);
    expect(planFade(asked).madeFirst).toEqual(
      [asked.from, asked.to].flatMap((end) => (end && end.parts.length > 1 ? [end.name] : [])),
    );
  });
  test('is more even than equal spoons', () => {
    const { unevenness, equal } = planFade(wish({ from: mix('candle-end'), to: mix('kiln-ash') }));
    const steps = equal.flatMap(({ apart }) => (apart === null ? [] : [apart]));
    expect(unevenness).toBeLessThan(Math.max(...steps) / Math.min(...steps));
  });
  test('fills its stretch without a gap, each pot strewn over its neighbours', () => {
    const { pots } = planFade(wish());
    expect([pots[0].from, pots[4].to]).toEqual([20, 178]);
    pots.slice(1).forEach((pot, i) => {
      expect(pot.from).toBe(pots[i].to);
      expect(pots[i].strewnTo - pot.strewnFrom).toBeCloseTo(12, 9);
      expect(pot.apart).toBeCloseTo(deltaE2000(pots[i].lab, pot.lab), 9);
    });
    expect([pots[0].strewnFrom, pots[4].strewnTo]).toEqual([20, 178]);
  });
  test('left to itself takes as many pots as hide the steps, and fewer for a shorter way', () => {
    const long = planFade(wish({ pots: null, from: mix('candle-end'), to: mix('kiln-ash') }));
    const short = planFade(wish({ pots: null, from: mix('penny-rain'), to: mix('bee-line') }));
    expect(long.pots.length).toBeGreaterThan(short.pots.length);
    expect(long.path / (long.pots.length - 1)).toBeLessThanOrEqual(5);
  });
  test('that thins out leaves more bare with each pot', () => {
    const bare = planFade(wish({ from: mix('brickfield'), to: null, pots: 5 })).pots.map((pot) => pot.bare);
    expect(bare).toEqual([...bare].sort((one, other) => one - other));
    expect(bare[4]).toBeGreaterThan(2 * bare[0]);
  });
});

test.each([
  ['twins', mix('bee-line'), mix('bee-line'), 'stop', /reads as one colour/],
  ['near sisters', mix('candle-end'), mix('bee-line'), 'look', /not from across a table/],
  ['two that part', mix('bee-line'), mix('kiln-ash'), 'shows', /each pot [\d.]+ to [\d.]+ from the next/],
])('%s as ends: the verdict before any jar is opened', (_, from, to, level, why) => {
  const { verdict } = planFade(wish({ from, to }));
  expect(verdict.level).toBe(level);
  expect(verdict.why).toMatch(why);
});

test('equal spoons that would change nothing for a stretch are said to', () => {
  // Five flakes deep or four, nothing of the base is seen: the lower pots would all look alike.
  const { verdict, equal } = planFade(wish({ from: mix('kiln-ash'), to: null, depth: 5, hold: null, pots: 8, overlap: 0 }));
  expect(equal[1].apart).toBeLessThan(1.5);
  expect(verdict.why).toMatch(/Equal spoons would have left 20–[\d.]+ mm looking like one colour\./);
});

test.each([
  ['one pot', { pots: 1 }, /one alone is one colour/],
  ['more pots than there is room for', { pots: 12, overlap: 20 }, /Take fewer pots, or less overlap/],
  ['a stretch upside down', { low: 100, high: 40 }, /upper end must lie above/],
  ['an end of nothing', { from: { name: 'nothing', parts: [] } }, /Give both ends a glitter/],
  ['no depth', { depth: 0 }, /pour some first/],
  ['an overlap below nothing', { overlap: -3 }, /less than nothing/],
])('%s is a sentence that says what to do', (_, change, sentence) => {
  expect(() => planFade(wish(change))).toThrow(FadeError);
  expect(() => planFade(wish(change))).toThrow(sentence);
});

test('pots laid on a band take its place in areas, blends and coats, and leave nothing over', () => {
  const before = designWith([{ kind: 'glitter', id: 'g', on: ['low', 'high'] }]);
  const plan = planFade(wish({ low: 0, high: 80, pots: 3, overlap: 6 }));
  const after = designSchema.parse(withPots(before, 'low' as AreaId, ['a', 'b', 'c'] as AreaId[], plan.pots));
  expect(after.areas.map(({ name }) => name)).toEqual(['Low, pot 1', 'Low, pot 2', 'Low, pot 3', 'High']);
  expect(after.coats[0]).toMatchObject({ on: ['a', 'b', 'c', 'high'] });
  expect(after.blends.filter(({ area }) => 'abc'.includes(area)).map(({ parts }) => parts.length)).toEqual([1, 2, 1]);
  const [was, is] = [before, after].map((one) => planOf(one, workshop).areas);
  const pots = is.areas.filter(({ id }) => 'abc'.includes(id)).reduce((sum, { area }) => sum + area, 0);
  expect(pots).toBeCloseTo(was.areas[0].area, 6);
  expect(is.leftOver.area).toBeCloseTo(was.leftOver.area, 6);
});

describe('a fade of an area', () => {
  const { settings, shelf } = workshop;
  const plan = planOf(design, { settings, shelf });
  const pot = blendOf('apiary-noon', 'Pot 1');
  const [area] = plan.areas.areas;
  const whole = { ...area, region: bandRegion(0, 48) };
  const faded = (change: Partial<Parameters<typeof fadeOfArea>[5]> = {}, on = area) =>
    fadeOfArea(pot, on, design.cup, shelf, 0.5, { to: { jar: jar('kiln-ash').id }, up: true, pots: 4, overlap: 5, ...change });

  test('begins as deep as the area lies now, on what later areas leave of it', () => {
    const { pots } = faded();
    expect([pots[0].from, pots[3].to]).toEqual([0, 48]);
    expect(pots[0].bare).toBeLessThanOrEqual(pot.bare + 0.005);
    // Cells take a part of the band, so the pots need less than on the whole wall.
    const total = (of: typeof pots) => of.reduce((sum, { ml }) => sum + ml, 0);
    expect(total(pots)).toBeLessThanOrEqual(total(faded({}, whole).pots));
  });
  test('turned upside down has the same pots from the rim’s side, on a wall that is straight', () => {
    const [up, down] = [faded({}, whole).pots, faded({ up: false }, whole).pots];
    expect(down.map(({ seen }) => seen)).toEqual(up.map(({ seen }) => seen).reverse());
    expect(down.map(({ from, to }) => [from, to])).toEqual(up.map(({ from, to }) => [from, to]));
    expect(down[0].apart).toBeNull();
    expect(down[1].apart).toBeCloseTo(up[3].apart ?? NaN, 9);
  });
  test('goes into another area’s blend, or thins out', () => {
    expect(
      faded({ to: { blend: blendOf('apiary-noon', 'Pot 4') } })
        .pots.at(-1)
        ?.parts.map(({ name }) => name),
    ).toEqual(['Candle End']);
    expect(new Set(faded({ to: null }).pots.flatMap(({ parts }) => parts.map(({ name }) => name))).size).toBe(pot.parts.length);
  });
  test('isn’t for what is no band', () =>
    expect(() =>
      fadeOfArea(pot, { ...area, from: null, to: null }, design.cup, shelf, 0.5, { to: null, up: true, pots: 3, overlap: 0 }),
    ).toThrow(/Choose one, or make one at the Areas stage/));
});

test('the strip beside the cup marks every edge at its length along the wall', () => {
  const { design: copper, ...rest } = demoFile('copper-eaves');
  const offer = templatesOf(copper, planOf(copper, rest)).find(({ id }) => id === 'heights');
  const [sheet] = offer?.draw(usualWishes).sheets ?? [];
  const marks = sheet.lines.filter(({ role }) => role === 'mark').map(({ points }) => points[0][1]);
  const foot = Math.max(...marks);
  expect(sheet.words.map(({ text }) => text)).toEqual(expect.arrayContaining(['0', '62', 'Foot', 'Eaves']));
  expect(marks.map((y) => foot - y)).toContainEqual(expect.closeTo(wallLength(copper.cup.stations, 0, 62), 6));
});
