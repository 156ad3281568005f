import {
  cardOf,
  cardText,
  coatSchema,
  cupField,
  swatchField,
  designSchema,
  deltaE2000,
  fieldPlanOf,
  flakeField,
  labOf,
  planOf,
  reflectanceOf,
  withCupFitted,
  withFix,
  withoutArea,
  type AreaId,
  type CoatId,
  type Design,
  type Plan,
} from '../src';
import { meetingWords } from '../src/string-flow';
import { cupsAtOnce } from '../src/batches';
import { topEdge } from '../src/strings';
import { coat, designWith, workshop } from './workshop';

/* Strings of colour in a design: what they take, what is seen of them, and what goes wrong with them. */
const strings = { kind: 'strings', on: 'all', way: 'up', ink: 'chalk-white', load: 4, ml: 2, count: 4, width: 4, rest: 12 };
const slow = { ...coat.resin, resin: 'slow-1-1' };
const laid = (change: object = {}, more: readonly object[] = []): Design =>
  designWith([{ ...coat.base, paint: 'soft-black' }, slow, { ...strings, ...change }, ...more]);
const planned = (design: Design): Plan => planOf(design, workshop);
const stringsOf = (plan: Plan) => plan.coats.find(({ kind }) => kind === 'strings');
const rules = (design: Design) => planned(design).findings.filter(({ rule }) => rule.includes('strings'));
const lightness = (hex: string) => labOf(reflectanceOf(hex))[0];

describe('what they take', () => {
  test('their resin is held back from the coat under them, which is mixed by so much more', () => {
    const [without, plan] = [planned(designWith([{ ...coat.base, paint: 'soft-black' }, slow])), planned(laid({ ml: 6 }))];
    const [was, now] = [without.coats[1], plan.coats[1]];
    expect((now.mix?.need ?? 0) - (was.mix?.need ?? 0)).toBeCloseTo(6 / 0.96, 6);
    expect(now.mix).toMatchObject({ held: 6, fill: was.mix?.fill });
    expect(now.does).toContain('Hold back 6.0 ml in the pot for the colour.');
    expect(was.does).not.toContain('Hold back');
    expect(now.wait.until).toContain('while it is wet');
    expect(stringsOf(plan)?.mix).toBeNull();
  });
  test('a pot is small, and its drops are whole: what they really are is what is seen', () => {
    const pots = stringsOf(planned(laid({ ml: 3, also: [{ ink: 'tarn', load: 2 }] })));
    expect(pots?.drops.map(({ ink, count }) => [ink, count])).toEqual([
      ['Chalk White', 2],
      ['Tarn', 1],
    ]);
    expect(pots?.strings?.pots.map(({ ml, load }) => [ml, load])).toEqual(pots?.drops.map(({ load }) => [1.5, load]));
  });
  test('for several cups each pot is as many times as large, and so are its drops', () => {
    const design = laid({ ml: 3, load: 5 });
    const plan = planned(design);
    const three = cupsAtOnce(plan, design, workshop, 3);
    const [one, all] = [stringsOf(plan), three.coats.find(({ planned: { kind } }) => kind === 'strings')?.planned];
    expect(all?.drops[0].count).toBeGreaterThanOrEqual(3 * (one?.drops[0].count ?? 0) - 1);
    expect(all?.drops[0].load).toBeCloseTo(5, 0);
    expect(all?.strings?.pots[0].ml).toBeCloseTo(9, 6);
    expect(three.coats[1].batch?.each.held).toBeCloseTo(9 / (three.coats[1].batch?.pots ?? 1), 6);
  });
  test('the card says how much is held back, with which drops, and how it is laid', () => {
    const design = laid({ also: [{ ink: 'tarn', load: 2 }], air: { seconds: 20, towards: 0 } });
    const text = cardText(cardOf(planned(design), design, workshop.settings)).replaceAll(/\s+/g, ' ');
    for (const words of [
      '1.0 ml held back: ',
      'Share the 2 ml held back among 2 pots',
      'carried over both edges',
      'warm air for 20 seconds',
    ])
      expect(text).toContain(words);
    expect(text).not.toMatch(/NaN|undefined/);
  });
});

describe('what is seen', () => {
  test('from across a table: between what is under them and their own colour, the more of it the more there is', () => {
    const seen = (ml: number) => lightness(planned(laid({ ml })).finished['low']);
    const black = lightness(planned(designWith([{ ...coat.base, paint: 'soft-black' }, slow])).finished['low']);
    expect(seen(1)).toBeGreaterThan(black + 2);
    expect(seen(4)).toBeGreaterThan(seen(1));
  });
  test('the picture and the colour that is told agree, and the picture is of strings', () => {
    const design = laid({ wander: 3, slope: 8 });
    const plan = planned(design);
    const field = flakeField(cupField(fieldPlanOf(plan), design.cup, 1.2));
    const sum = [0, 0, 0];
    const owners = field.owner ?? [];
    let wall = 0;
    const dark = new Set<number>();
    for (const owner of owners) {
      if (owner === 0) continue;
      const { seen } = field.parts[owner].stacks[0];
      wall += 1;
      seen.forEach((part, i) => (sum[i] += part));
      dark.add(Math.round(seen[1] * 20));
    }
    expect(dark.size).toBeGreaterThan(4);
    const curve = (part: number) => (part <= 0.0031308 ? 12.92 * part : 1.055 * part ** (1 / 2.4) - 0.055);
    const hex = `#${sum
      .map((part) =>
        Math.round(255 * curve(part / wall))
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')}`;
    const away = deltaE2000(labOf(reflectanceOf(hex)), labOf(reflectanceOf(plan.finished['low'])));
    expect(away).toBeLessThan(6);
  });
  test('a flat square of an area shows them as they lie in its middle, and none where none is laid', () => {
    const squares = (design: Design) =>
      ['low', 'high'].map((area) => swatchField(fieldPlanOf(planned(design)), area, 24, 4).regions.length);
    const [low, high] = squares(laid({ count: 40 }));
    expect(low).toBeGreaterThan(3);
    expect(high).toBeGreaterThan(3);
    expect(squares(designWith([{ ...coat.base, paint: 'soft-black' }, slow]))).toEqual([1, 1]);
  });
  test('paint over them hides them; clear resin doesn’t; tape keeps them off', () => {
    const under = (design: Design) => Object.keys(planned(design).strings[0]?.under ?? {});
    expect(under(laid())).toContain('low');
    expect(under(laid({}, [slow]))).toContain('low');
    expect(under(laid({}, [{ kind: 'rest', hours: 24 }, coat.base]))).not.toContain('low');
    const taped = designWith([
      { ...coat.base, paint: 'soft-black' },
      { kind: 'mask', on: ['low'] },
      slow,
      strings,
      { kind: 'unmask', on: ['low'] },
    ]);
    expect(under(taped)).not.toContain('low');
  });
  test('where its ink or its resin is gone, nothing is laid and everything is still said', () => {
    for (const design of [laid({ ink: 'gone' }), designWith([{ ...slow, resin: 'gone' }, strings]), designWith([strings])]) {
      const plan = planned(design);
      expect(plan.strings).toEqual([]);
      expect(stringsOf(plan)?.does).not.toMatch(/NaN|undefined|Infinity/);
    }
  });
});

describe('what goes wrong, and what mends it', () => {
  const mended = (design: Design, rule: string): Design => {
    const found = rules(design).find((one) => one.rule === rule);
    if (!found?.fix) throw new Error(`nothing to mend: ${rule}`);
    return withFix(design, found.fix, workshop, 'added' as CoatId);
  };
  test.each([
    ['strings into wet resin', designWith([coat.base, strings])],
    ['strings that end on the wall', laid({ reach: { from: 30, to: 120 } })],
    ['strings that run together', laid({ ml: 24, count: 40, rest: 5 })],
    [
      'strings that run together',
      laid({
        ml: 12,
        count: 6,
        rest: 5,
        also: [
          { ink: 'tarn', load: 2 },
          { ink: 'sloe', load: 2 },
        ],
      }),
    ],
    ['rest before strings', laid({ rest: 0 })],
    ['rest before strings', laid({ rest: 100 })],
    ['strings along an edge', laid({ way: 'edge' })],
  ] as const)('%s is told, and its fix settles it or helps', (rule, design) => {
    const covers = (one: Design) => stringsOf(planned(one))?.strings?.covers ?? 0;
    const fixed = designSchema.parse(mended(design, rule));
    if (rule === 'strings that run together') expect(covers(fixed)).toBeLessThan(0.75 * covers(design) + 0.1);
    expect(rules(fixed).map((one) => one.rule)).not.toContain(rule);
    expect(rules(laid())).toEqual([]);
  });
  test('what the rule says keeps strings apart does: less of it, fewer, a longer rest', () => {
    const covers = (change: object) =>
      stringsOf(planned(designWith([coat.base, slow, { ...strings, ml: 6, count: 8, ...change }])))?.strings?.covers ?? 0;
    const as = covers({});
    expect(as).toBeGreaterThan(0.3);
    expect(covers({ ml: 3 })).toBeLessThan(as);
    expect(covers({ count: 4, ml: 3 })).toBeLessThan(as);
    expect(covers({ rest: 24 })).toBeLessThan(as);
  });
  test('two lively colours that make a dull one are told with what they come to; laid into coats of their own they are not', () => {
    const white = { ...coat.base, paint: 'limewash' };
    const mud = (coats: readonly object[]) =>
      planned(designWith(coats)).findings.filter(({ rule }) => rule === 'strings that turn to mud');
    const both = { ...strings, ink: 'sloe', load: 3, also: [{ ink: 'marrow', load: 3 }] };
    const [found] = mud([white, slow, both]);
    const meetings = (coats: readonly object[]) => stringsOf(planned(designWith(coats)))?.strings?.meetings ?? [];
    const [meeting] = meetings([white, slow, both]);
    expect(found?.says).toContain(meeting.mixed);
    expect(meeting).toMatchObject({ pots: [0, 1], mud: true });
    expect(meetingWords(meeting)).toMatch(/^\d+ % of their liveliness is lost where they meet: mud\. Lay one into/);
    const three = meetings([white, slow, { ...both, also: [...both.also, { ink: 'madder', load: 2 }] }]);
    expect(three.map(({ pots }) => pots)).toEqual([
      [0, 1],
      [0, 2],
      [1, 2],
    ]);
    // White beside a colour pales it and makes no mud.
    const [pale] = meetings([white, slow, { ...strings, ink: 'madder', load: 2, also: [{ ink: 'chalk-white', load: 2 }] }]);
    expect(pale.mud).toBe(false);
    expect(meetingWords(pale)).toMatch(/may be wet together\.$/);
    expect(found?.says).toMatch(
      /^Sloe and Marrow turn to mud where they run into each other \(#[0-9a-f]{6}\), on \w+ and \w+\.$/,
    );
    const apart = [
      white,
      slow,
      { ...both, also: undefined },
      { kind: 'rest', hours: 24 },
      coat.sand,
      slow,
      { ...both, ink: 'marrow', load: 4, also: undefined },
    ];
    expect(mud(apart)).toEqual([]);
    expect(mud([white, slow, { ...both, also: [{ ink: 'tarn', load: 3 }] }])).toEqual([]);
  });
  test('too much ink in a pot of them is told by the pot', () => {
    const found = planned(laid({ load: 12, also: [{ ink: 'tarn', load: 1 }] })).findings.find(({ rule }) => rule === 'ink load');
    expect(found?.level).toBe('stop');
  });
  test('what can’t be meant is refused in a sentence', () => {
    const says = (change: object) => coatSchema.safeParse({ ...strings, id: 'a', ...change }).error?.issues[0].message;
    expect(says({ way: 'thrown' })).toBe('Colour is laid foot to rim, in rings, along an edge or in drops.');
    expect(says({ count: 0 })).toBe('Lay one at least.');
    expect(says({ ml: 0 })).toContain('at least 0.5 ml');
    expect(says({ ml: 1000 })).toContain('a coat of its own');
    expect(says({ also: [{ ink: 'chalk-white', load: 1 }] })).toContain('Each ink is there once');
    expect(says({ air: { seconds: 4000, towards: 0 } })).toContain('boil');
    expect(says({ count: 1, also: [{ ink: 'tarn', load: 1 }] })).toContain('at least one of each pot');
    expect(says({ reach: { from: 90, to: 20 } })).toContain('above');
    expect(says({})).toBeUndefined();
  });
});

test('on another cup strings keep their share of the wall; without its area an edge is to be named anew', () => {
  const design = laid({ reach: { from: 40, to: 120 }, way: 'edge', area: 'low' });
  const taller = {
    ...design.cup,
    stations: design.cup.stations.map((one) => ({ ...one, height: 2 * one.height })),
    lipStrip: 20,
  };
  expect(withCupFitted(design, taller).coats[2]).toMatchObject({ reach: { from: 80, to: 240 } });
  expect(rules(design).map(({ rule }) => rule)).not.toContain('strings along an edge');
  const without = withoutArea(design, 'low' as AreaId);
  expect(without.coats[2]).toMatchObject({ area: null });
  expect(rules(without).map(({ rule }) => rule)).toContain('strings along an edge');
  expect(() => laid({ way: 'edge', area: 'gone' })).toThrow('follows the edge of “gone”, which is no area');
});

test('lines that reach from foot to rim end nowhere on the wall, whether heights are given or not', () => {
  expect(rules(laid({ reach: { from: 0, to: 180 } }))).toEqual([]);
  expect(rules(laid({ reach: { from: 0, to: 120 } })).map(({ rule }) => rule)).toEqual(['strings that end on the wall']);
});

test('an area’s upper edge is found at every angle it has one', () => {
  const wave = topEdge([
    [
      [
        [0, 0],
        [90, 0],
        [180, 0],
        [180, 60],
        [90, 40],
        [0, 60],
        [0, 0],
      ],
    ],
  ]);
  expect(wave[0]).toBe(60);
  expect(wave[45]).toBe(40);
  expect(wave[22]).toBeCloseTo(60 - (20 * 44) / 90, 6);
  expect(wave[100]).toBeNull();
});
