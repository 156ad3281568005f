import { planOf, startingCoat, withFix, type CoatId, type Design, type Finding, type Workshop } from '../src';
import { coat, designWith, workshop } from './workshop';

const found = (design: Design, over: Workshop = workshop): readonly Finding[] => planOf(design, over).findings;
const named = (rule: string, design: Design, over: Workshop = workshop) => found(design, over).filter((one) => one.rule === rule);
const rest12 = { kind: 'rest', hours: 12 };
const mask = { kind: 'mask', on: ['low'] };
const unmask = { kind: 'unmask', on: ['low'] };
const tacky = { kind: 'glue', on: 'all', glue: 'tacky-coat', resin: null };
const buff = { kind: 'buff', on: 'all', ink: 'fog-lamp' };
const strip = { kind: 'strip', film: 'hearth-foil', width: 3, centre: 90, length: 300 };
const sheet = { kind: 'sheet', film: 'window-clear', name: 'Map', width: 90, height: 60, centre: 90 };
const sprinkle = { kind: 'sprinkle', on: 'all', glitter: 'penny-rain', flakes: 4 };
const dab = { kind: 'dab', on: 'all', ink: 'fog-lamp', share: 40 };
const decal = { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 90 };
const thin = { ...coat.resin, thickness: 0.1 };

/** Each rule with coats that break it, and the smallest change that doesn't. */
const cases: readonly (readonly [string, readonly object[], readonly object[]])[] = [
  ['mask on, mask off', [mask, coat.base], [mask, coat.base, unmask]],
  ['mask on, mask off', [coat.base, unmask], [coat.base, mask, unmask]],
  ['mask under resin', [mask, coat.resin, unmask], [mask, unmask, coat.resin]],
  ['tape on fresh paint', [coat.base, mask, unmask], [coat.base, rest12, mask, unmask]],
  ['glue on soft glue', [coat.brush, coat.brush, coat.glitter], [coat.brush, coat.glitter, coat.brush, coat.glitter]],
  ['glue on soft glue', [coat.brush, coat.brush, coat.glitter], [coat.brush, rest12, coat.brush, coat.glitter]],
  ['glitter without glue', [coat.wipe, coat.resin, coat.glitter], [coat.wipe, coat.glitter]],
  ['glue for nothing', [coat.wipe, coat.resin], [coat.wipe, coat.glitter, coat.resin]],
  ['glue for nothing', [coat.brush, coat.resin], [coat.brush, sprinkle, coat.resin]],
  ['into a soft coat', [coat.base, sprinkle], [coat.resin, sprinkle]],
  ['into a soft coat', [coat.base, buff], [tacky, buff]],
  ['into a soft coat', [coat.base, dab], [thin, dab]],
  ['into a soft coat', [coat.resin, dab], [thin, dab]],
  ['seal pearl and foil', [tacky, buff, coat.resin], [tacky, buff, coat.seal, coat.resin]],
  ['seal pearl and foil', [tacky, buff], [tacky, buff, coat.seal]],
  ['seal printed and metallic film', [strip, coat.resin], [strip, coat.seal, coat.resin]],
  ['seal printed and metallic film', [sheet, coat.resin], [sheet, coat.seal, coat.resin]],
  ['piece off the cup', [{ ...sheet, width: 400 }], [sheet]],
  ['piece off the cup', [{ ...sheet, centre: 10 }], [sheet]],
  ['piece off the cup', [{ ...sheet, times: 3 }], [{ ...sheet, times: 2 }]],
  ['decal on gloss', [coat.resin, decal], [coat.resin, coat.sand, decal]],
  [
    'decal on gloss',
    [coat.resin, coat.sand, { ...decal, film: 'window-clear' }],
    [coat.resin, { ...decal, film: 'window-clear' }],
  ],
  ['decal on raw glitter', [coat.wipe, coat.glitter, sheet], [coat.wipe, coat.glitter, coat.resin, sheet]],
  ['decal on raw glitter', [coat.wipe, coat.glitter, strip], [coat.wipe, coat.glitter, coat.resin, strip]],
  [
    'seal printed and metallic film',
    [{ ...decal, film: 'hearth-foil' }, coat.resin],
    [{ ...decal, film: 'chalk-matt' }, coat.resin],
  ],
  ['strip that fits', [{ ...strip, length: 200 }], [strip]],
  ['strip that fits', [{ ...strip, centre: 0 }], [strip]],
  ['strip that fits', [{ ...strip, width: 60 }], [strip]],
  [
    'outline that covers its gap',
    [{ kind: 'outline', on: ['low'], film: 'hearth-foil', gap: 1, width: 1.2 }],
    [{ kind: 'outline', on: ['low'], film: 'hearth-foil', gap: 1, width: 1.5 }],
  ],
  ['recoat window', [coat.resin, { ...coat.rest, hours: 24 }, coat.resin], [coat.resin, coat.resin]],
  ['recoat window', [coat.resin, { ...coat.rest, hours: 24 }, coat.resin], [coat.resin, coat.rest, coat.sand, coat.resin]],
  ['sand cured resin only', [coat.base, coat.sand], [coat.base, coat.resin, coat.sand]],
  ['rim down to a bare line', [coat.resin, coat.resin], [coat.resin, { kind: 'rim' }, coat.resin]],
  ['coat on nothing', [mask, { ...coat.base, on: ['low'] }, unmask], [mask, { ...coat.base, on: ['high'] }, unmask]],
  ['pearl on a light ground', [{ ...coat.base, paint: 'limewash' }, dab], [{ ...coat.base, paint: 'soft-black' }, dab]],
];

describe('each rule speaks up for what breaks it, and not once it is put right', () => {
  test.each(cases)('%s (%#)', (rule, broken, right) => {
    expect(named(rule, designWith(broken)).length).toBeGreaterThan(0);
    expect(named(rule, designWith(right))).toEqual([]);
  });
  test.each(cases)('%s: what its one press offers settles it (%#)', (rule, broken) => {
    const design = designWith(broken);
    const [{ fix }] = named(rule, design);
    if (!fix) return;
    const before = named(rule, design).length;
    const after = named(rule, withFix(design, fix, workshop, 'added' as CoatId)).length;
    // A fresh coat of glue or of rest is laid by the same rules: what was found is found no more.
    expect(after).toBeLessThan(before);
  });
});

describe('what a piece and a motif lie on', () => {
  const mug = {
    ...designWith([]).cup,
    shape: 'mug',
    handle: { angle: 180, from: 40, to: 130, width: 20, length: 150, girth: 50 },
  };
  const under = (piece: object) => named('piece under the handle', designWith([piece], { cup: mug })).map(({ level }) => level);
  test('nothing lies under a handle; a strip can’t go round by it', () => {
    expect(under(decal)).toEqual(['stop']);
    expect(under({ ...decal, angle: 90 })).toEqual([]);
    expect(under(strip)).toEqual(['look']);
    expect(under({ ...strip, centre: 20 })).toEqual([]);
  });
  test('a new one begins beside it', () => {
    const begun = startingCoat('decal', designWith([], { cup: mug }), workshop, 'new' as CoatId);
    expect(under(begun)).toEqual([]);
  });
  const motif = {
    kind: 'window',
    id: 'star',
    name: 'Star',
    outline: { shape: 'star' },
    angle: 180,
    level: { by: 'foot', mm: 40 },
    width: 30,
  };
  const starred = (paint: string, more: readonly object[] = []) =>
    named(
      'motif that shows',
      designWith([coat.base, { ...coat.base, paint, on: ['star'] }, ...more], {
        version: 2,
        areas: [...designWith([]).areas, motif],
      }),
    );
  test('a motif as light as its ground blurs, of its colour it is gone; lighter, or outlined, it shows', () => {
    expect(starred('brick-red')).toMatchObject([{ level: 'look', area: 'star' }]);
    expect(starred('limewash')).toEqual([]);
    expect(starred('brick-red', [{ kind: 'outline', on: ['star'], film: 'chalk-matt', gap: 1, width: 1.5 }])).toEqual([]);
    const shelf = workshop.shelf.map((item) => (item.id === 'limewash' ? { ...item, colour: '#2f6f4f' } : item));
    const green = designWith([coat.base, { ...coat.base, paint: 'limewash', on: ['star'] }], {
      version: 2,
      areas: [...designWith([]).areas, motif],
    });
    expect(named('motif that shows', green, { ...workshop, shelf })).toMatchObject([{ level: 'tip' }]);
  });
});

test('a flame over ink that is still soft stops the work; sanded between, or with warm air, it doesn’t', () => {
  const by = (bubbles: 'flame' | 'warm air') => ({ ...workshop, settings: { ...workshop.settings, bubbles } });
  const soft = designWith([coat.ink, coat.resin]);
  const [finding] = named('flame over soft ink', soft, by('flame'));
  expect(finding).toMatchObject({ level: 'stop', coat: 'coat-1' });
  if (!finding.fix) throw new Error('nothing is offered');
  expect(named('flame over soft ink', withFix(soft, finding.fix, workshop, 'x' as CoatId), by('flame'))).toEqual([]);
  expect(named('flame over soft ink', soft, by('warm air'))).toEqual([]);
});

test('a light glitter poured after a dark one is told; before it, over a seal or as a second pass it isn’t', () => {
  const blends = [
    { area: 'low', parts: [{ item: 'bee-line', ml: 6 }] },
    { area: 'high', parts: [{ item: 'kiln-ash', ml: 6 }] },
  ];
  const flakes = (area: string) => [
    { ...coat.brush, on: [area] },
    { ...coat.glitter, on: [area] },
  ];
  const told = (...coats: readonly object[]) => named('light before dark', designWith(coats, { blends }));
  const [finding] = told(...flakes('high'), ...flakes('low'));
  expect(finding).toMatchObject({ level: 'tip', fix: { kind: 'seal', before: 'coat-2' } });
  expect(told(...flakes('low'), ...flakes('high'))).toEqual([]);
  expect(told(...flakes('high'), coat.seal, ...flakes('low'))).toEqual([]);
  expect(told(coat.wipe, coat.glitter, coat.wipe, coat.glitter)).toEqual([]);
});

describe('amounts that look thin', () => {
  const little = (coats: readonly object[]) => designWith(coats);
  const limed = { ...coat.base, paint: 'limewash' };
  test('over a base of another colour it is offered to cover, and once poured it isn’t thin', () => {
    const design = little([limed, coat.wipe, coat.glitter]);
    const [finding] = named('thin cover', design);
    expect(finding).toMatchObject({ level: 'look', area: 'low' });
    if (!finding.fix) throw new Error('nothing is offered');
    const poured = withFix(design, finding.fix, workshop, 'x' as CoatId);
    expect(named('thin cover', poured).filter(({ area }) => area === 'low')).toEqual([]);
  });
  test('where glue can’t hold enough it says so and offers none', () => {
    const brushed = { ...coat.brush, glue: 'clear-spray' };
    const [finding] = named('thin cover', little([limed, brushed, coat.glitter]));
    expect(finding).toMatchObject({ fix: null, area: null });
    expect(finding.why).toMatch(/once more/);
  });
  test('over a base like the glitter gaps don’t show and nothing is said', () => {
    const blends = [{ area: 'low', parts: [{ item: 'bee-line', ml: 6 }] }];
    const over = (paint: string) =>
      named('thin cover', designWith([{ ...coat.base, paint }, coat.wipe, coat.glitter], { blends })).length;
    expect(over('soft-black')).toBe(1);
    expect(over('honey')).toBe(0);
  });
});

test('neon flakes that let a dull ground through are told; over white, or covered, they glow', () => {
  const shelf = workshop.shelf.map((item) =>
    item.kind === 'glitter' && item.id === 'penny-rain'
      ? { ...item, finish: 'neon' as const, flake: { ...item.flake, colour: '#d8f03a' } }
      : item,
  ) as Workshop['shelf'];
  const told = (paint: string, ml: number) =>
    named(
      'white under yellow and neon',
      designWith([{ ...coat.base, paint }, coat.wipe, { ...coat.glitter, on: ['low'] }], {
        blends: [{ area: 'low', parts: [{ item: 'penny-rain', ml }] }],
      }),
      { ...workshop, shelf },
    ).length;
  expect(told('soft-black', 4)).toBe(1);
  expect(told('limewash', 4)).toBe(0);
  expect(told('soft-black', 40)).toBe(0);
});

test('a base of quite another colour between the flakes is told; one like them, or more of them, isn’t', () => {
  const told = (paint: string, ml: number) =>
    named(
      'base far from its glitter',
      designWith([{ ...coat.base, paint }, coat.wipe, { ...coat.glitter, on: ['low'] }], {
        blends: [{ area: 'low', parts: [{ item: 'bee-line', ml }] }],
      }),
    ).length;
  const amounts = Array.from({ length: 20 }, (_, i) => i + 1);
  const over = (paint: string) => amounts.filter((ml) => told(paint, ml) > 0);
  expect(over('soft-black').length).toBeGreaterThan(0);
  expect(over('honey')).toEqual([]);
  // More of it hides the gaps in the end.
  expect(told('soft-black', 20)).toBe(0);
});

test('a large warm mix of a quick resin goes off before it is spread', () => {
  const shelf = workshop.shelf.map((item) => (item.kind === 'resin' ? { ...item, potLife: 6 } : item));
  const hot = { ...workshop, shelf, settings: { ...workshop.settings, celsius: 33 } };
  const thick = designWith([{ ...coat.resin, thickness: 0.6 }]);
  expect(named('mix that goes off too soon', thick, hot)).toHaveLength(1);
  expect(named('mix that goes off too soon', thick)).toEqual([]);
  const half = designWith([{ ...coat.resin, thickness: 0.3, on: ['low'] }]);
  expect(named('mix that goes off too soon', half, hot)).toEqual([]);
});
