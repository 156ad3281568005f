import {
  deltaE2000,
  evenWalk,
  FadeError,
  flakeRain,
  labOf,
  plainWalk,
  planFade,
  potSlots,
  reflectanceOf,
  seenFrom,
  type Fade,
  type WishedStop,
} from '../src';
import { asFall, turnedRound, withStopAdded, withStopDragged } from '../src';
import { under, mix, stop, ends, wish, thinning } from './any-fade';
import { jar } from './workshop';

describe('places of pots', () => {
  test.each([
    ['two stops', [0, 1], 5],
    ['stops near one end', [0, 0.1, 1], 6],
    ['as many pots as stops', [0.1, 0.3, 0.9], 3],
  ])('%s: they fill the way without a gap, and each stop has its own', (_, at, pots) => {
    const slots = potSlots(
      at.map((one) => ({ at: one, cover: 1 })),
      pots,
    );
    expect(slots).toHaveLength(pots);
    expect([slots[0].from, slots[pots - 1].to]).toEqual([0, 1]);
    slots.slice(1).forEach(({ from }, i) => expect(from).toBe(slots[i].to));
    expect(slots.filter(({ step }) => step === 0).map((slot) => slot.stop)).toEqual(at.map((_one, i) => i));
  });
  test('two stops make pots of one height; a bare end takes none, and leaves none over', () => {
    for (const cover of [1, 0]) {
      const slots = potSlots(
        [
          { at: 0, cover: 1 },
          { at: 1, cover },
        ],
        4,
      );
      for (const { from, to } of slots) expect(to - from).toBeCloseTo(0.25, 9);
    }
  });
  test('pots left over go where the gap is widest', () =>
    expect(
      potSlots(
        [0, 0.2, 1].map((at) => ({ at, cover: 1 })),
        6,
      ).map((slot) => slot.stop),
    ).toEqual([0, 1, 1, 1, 1, 2]));
});

describe('a fade in pots', () => {
  test.each([
    ['two jars', ends(mix('bee-line'), mix('brickfield'))],
    ['light and dark', ends(mix('candle-end'), mix('kiln-ash'))],
    ['mixes of several', ends(mix('bee-line', 'penny-rain'), mix('kiln-ash', 'gatepost'))],
    ['an opal end', ends(mix('kiln-ash'), mix('first-frost'))],
    ['three stops', [stop(0, mix('kiln-ash')), stop(0.5, mix('brickfield')), stop(1, mix('bee-line'))]],
    ['one that thins out on its way', [stop(0, mix('brickfield')), stop(1, mix('bee-line'), 0.3)]],
  ])('between %s comes out on the spoon in like steps, or is looked at', (_, stops) => {
    const { pots, unevenness, verdict } = planFade(wish(stops));
    expect(pots).toHaveLength(5);
    for (const pot of pots) {
      for (const { ml } of pot.spoons) expect((ml / 0.5) % 1).toBeCloseTo(0, 9);
      expect(pot.parts.reduce((sum, part) => sum + part.ml, 0)).toBeCloseTo(pot.ml, 9);
    }
    if (unevenness > 1.6) expect(verdict.level).toBe('look');
    else expect(verdict.level).toBe('shows');
    pots.slice(1).forEach((pot, i) => expect(pot.apart).toBeCloseTo(deltaE2000(pots[i].lab, pot.lab), 9));
    expect(pots[0].apart).toBeNull();
  });
  test('keeps full cover everywhere it is asked for', () => {
    for (const pot of planFade(wish(ends(mix('bee-line'), mix('kiln-ash')))).pots)
      expect(pot.bare).toBeLessThanOrEqual(Math.exp(-1.7) + 0.005);
  });
  test('names the mixes to make first, as much of each as the pots take', () => {
    const { madeFirst, pots } = planFade(wish(ends(mix('bee-line', 'penny-rain'), mix('kiln-ash'))));
    const spoons = pots.flatMap((pot) => pot.spoons.filter((one) => one.stop === 0));
    expect(madeFirst).toMatchObject([{ name: 'bee-line and penny-rain', ml: spoons.reduce((sum, { ml }) => sum + ml, 0) }]);
    expect(madeFirst[0].parts.reduce((sum, { ml }) => sum + ml, 0)).toBeCloseTo(madeFirst[0].ml, 9);
  });
  test('is more even than equal spoons', () => {
    const { unevenness, equal } = planFade(wish(ends(mix('candle-end'), mix('kiln-ash'))));
    const steps = equal.flatMap(({ apart }) => (apart === null ? [] : [apart]));
    expect(unevenness).toBeLessThan(Math.max(...steps) / Math.min(...steps));
  });
  test('says how many pots hide every step, and those do', () => {
    const stops = ends(mix('candle-end'), mix('kiln-ash'));
    const { potsToHide } = planFade(wish(stops));
    const finely = planFade(wish(stops, { pots: potsToHide, overlap: 0, step: 0.01 }));
    expect(Math.max(...finely.pots.map(({ apart }) => apart ?? 0))).toBeLessThan(5.2);
  });
  test('that thins out leaves more bare with each pot, and the last nearly nothing but the base', () => {
    const bare = planFade(wish(thinning(mix('brickfield')))).pots.map((pot) => pot.bare);
    expect(bare).toEqual([...bare].sort((one, other) => one - other));
    expect(bare[4]).toBeGreaterThan(2 * bare[0]);
  });
  test('stops moved to where the eye has them make uneven steps even', () => {
    const at = (middle: number) => [stop(0, mix('kiln-ash')), stop(middle, mix('brickfield')), stop(1, mix('bee-line'))];
    const crooked = planFade(wish(at(0.9), { pots: 8, step: 0.05 }));
    expect(crooked.verdict.why).toMatch(/“Even to the eye” moves them/);
    const straight = planFade(wish(at(crooked.evenAt[1]), { pots: 8, step: 0.05 }));
    expect(straight.unevenness).toBeLessThan(crooked.unevenness / 2);
  });
  test('a base that changes under one see-through jar is a fade too', () => {
    const opal = mix('first-frost');
    const over = (hex: string, at: number): WishedStop => ({ at, mix: opal, cover: 1, under: reflectanceOf(hex) });
    const { span, pots } = planFade(wish([over('#101010', 0), over('#f0e0c0', 1)], { depth: 1 }));
    expect(span).toBeGreaterThan(10);
    expect(new Set(pots.flatMap(({ parts }) => parts.map(({ name }) => name)))).toEqual(new Set(['First Frost']));
    expect(pots.map(({ base }) => base.share)).toEqual([0, expect.any(Number), expect.any(Number), expect.any(Number), 0]);
  });
  test('pots begun with cast-off take less from the jars and come out alike', () => {
    const stops = ends(mix('bee-line'), mix('kiln-ash'));
    const [plain, saving] = [false, true].map((castOff) => planFade(wish(stops, { castOff, hold: 2, depth: 1.5 })));
    const fromJars = ({ pots }: typeof plain) => pots.flatMap(({ spoons }) => spoons).reduce((sum, { ml }) => sum + ml, 0);
    expect(saving.pots.some(({ fromCastOff }) => fromCastOff > 0)).toBe(true);
    expect(fromJars(saving)).toBeLessThan(fromJars(plain));
    saving.pots.forEach((pot, i) => expect(deltaE2000(pot.lab, plain.pots[i].lab)).toBeLessThan(4));
    expect(saving.pots.map(({ gramsPerMl }) => gramsPerMl)).toEqual(plain.pots.map(({ gramsPerMl }) => gramsPerMl));
  });
});

test.each([
  ['twins', mix('bee-line'), mix('bee-line'), 'stop', /all the work reads as one/],
  ['near sisters', mix('bee-line', 'bee-line', 'brickfield'), mix('bee-line'), 'look', /not from across a table/],
  ['two that part', mix('bee-line'), mix('kiln-ash'), 'shows', /each pot [\d.]+ to [\d.]+ from the next/],
])('%s as ends: the verdict before any jar is opened', (_, from, to, level, why) => {
  const { verdict } = planFade(wish(ends(from, to)));
  expect(verdict.level).toBe(level);
  expect(verdict.why).toMatch(why);
});

test('there and back is a fade, though its ends are one colour', () => {
  const there = [stop(0, mix('bee-line')), stop(0.5, mix('kiln-ash')), stop(1, mix('bee-line'))];
  expect(planFade(wish(there)).verdict.level).not.toBe('stop');
});

test('a stretch where equal spoons would change nothing is found', () => {
  // Five flakes deep or four, nothing of the base is seen: the first pots would all look alike.
  const { deadInEqual, dead } = planFade(wish(thinning(mix('kiln-ash')), { pots: 8, depth: 5, hold: null, overlap: 0 }));
  expect(deadInEqual).toMatchObject({ from: 0 });
  expect((dead?.to ?? 0) - (dead?.from ?? 0)).toBeLessThan((deadInEqual?.to ?? 0) - (deadInEqual?.from ?? 0));
});

test.each([
  [
    'more overlap than wall',
    wish(ends(mix('bee-line'), mix('kiln-ash')), { pots: 12, overlap: 20 }),
    /Take fewer pots, or less overlap/,
  ],
  [
    'more pots than millimetres',
    wish(ends(mix('bee-line'), mix('kiln-ash')), { along: [9, 0.4, 9, 9, 9] }),
    /more pots than millimetres/,
  ],
  ['a stop of nothing', wish([stop(0, { name: 'nothing', parts: [] }), stop(1, mix('bee-line'))]), /give each a glitter/],
  ['no depth', wish(ends(mix('bee-line'), mix('kiln-ash')), { depth: 0 }), /pour some first/],
])('%s is a sentence that says what to do', (_, asked, sentence) => {
  expect(() => planFade(asked)).toThrow(FadeError);
  expect(() => planFade(asked)).toThrow(sentence);
});

test('the walk from a few spectra is the walk from all of them', () => {
  const parts = ['bee-line', 'candle-end', 'first-frost', 'penny-rain', 'kiln-ash', 'brickfield'].map((id) => jar(id).flake);
  const seenAt = (share: number) =>
    flakeRain(
      parts.map((glitter, i) => ({ glitter, ml: i < 3 ? 1 - share : share })),
      1.7,
      under,
    );
  const [few, all] = [evenWalk(6, seenAt), plainWalk(6, seenAt)];
  expect(few.path).toBeCloseTo(all.path, 4);
  few.at.forEach((at, i) => expect(at).toBeCloseTo(all.at[i], 5));
});

describe('a fade from afar', () => {
  const pots = (along: number) =>
    Array.from({ length: 10 }, (_, i) => ({ lab: labOf(reflectanceOf(i % 2 === 0 ? '#c08040' : '#8a5a30')), along }));
  test('fine stripes melt with the distance, wide ones stay', () => {
    const [fine, wide] = [seenFrom(pots(1), 0.4), seenFrom(pots(60), 0.4)];
    expect(fine.map(({ step }) => step)).toEqual([...fine.map(({ step }) => step)].sort((a, b) => b - a));
    expect(fine[2].step).toBeLessThan(fine[0].step / 3);
    expect(wide[1].step).toBeGreaterThan(0.9 * wide[0].step);
    expect(wide[0].step).toBeCloseTo(deltaE2000(pots(1)[0].lab, pots(1)[1].lab), 1);
  });
  test('flakes are told apart from near, and chunky ones from further off', () => {
    const says = (flake: number) => seenFrom(pots(20), flake).map((one) => one.says.includes('one by one'));
    expect(says(0.2)).toEqual([true, false, false]);
    expect(says(1)).toEqual([true, true, false]);
  });
});

describe('changing a fade', () => {
  const parts = [{ item: jar('bee-line').id, ml: 1 }];
  const fade = {
    area: 'a',
    way: 'up',
    turns: 2,
    stops: [0, 0.4, 1].map((at, i) => ({ at, parts, cover: 1 - i * 0.5, base: null })),
    pots: 3,
    overlap: 6,
    depth: 1.5,
    castOff: false,
  } as unknown as Fade;
  test('a dragged stop stays between its neighbours', () => {
    expect(withStopDragged(fade, 1, 2).stops[1].at).toBeCloseTo(0.98, 9);
    expect(withStopDragged(fade, 1, -1).stops[1].at).toBeCloseTo(0.02, 9);
    expect(withStopDragged(fade, 0, 0.2).stops.map(({ at }) => at)).toEqual([0.2, 0.4, 1]);
  });
  test('a stop more goes into the widest gap and brings a pot', () => {
    const more = withStopAdded(withStopAdded(fade));
    expect(more.stops.map(({ at }) => at)).toEqual([0, 0.2, 0.4, 0.7, 1]);
    expect(more.pots).toBe(4);
  });
  test('turned round it begins where it ended; a fall is heavy at the rim', () => {
    expect(turnedRound(fade).stops.map(({ at, cover }) => [at, cover])).toEqual([
      [0, 0],
      [0.6, 0.5],
      [1, 1],
    ]);
    const fall = asFall(fade);
    expect(fall.way).toBe('down');
    expect(fall.stops.map(({ cover }) => cover)).toEqual([1, 0.5, 0.16, 0]);
  });
});
