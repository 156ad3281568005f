import {
  cardOf,
  coatKinds,
  coatSchema,
  planOf,
  reflectanceOf,
  labOf,
  placeForCoat,
  deltaE2000,
  startingCoat,
  withoutCoat,
  type Coat,
  type CoatId,
  type CoatKindName,
  type Workshop,
} from '../src';
import { changesBetween } from '../src/history';
import { coat, demoFile, demoNames, designWith, workshop } from './workshop';

const kinds = Object.keys(coatKinds) as CoatKindName[];
const plain = designWith([]);
const starting = (kind: CoatKindName): Coat => startingCoat(kind, plain, workshop, kind as CoatId);
const laid = (...coats: readonly object[]) => planOf(designWith(coats), workshop);
const finished = (place: string, ...coats: readonly object[]) => labOf(reflectanceOf(laid(...coats).finished[place]));
const apart = (place: string, one: readonly object[], other: readonly object[]) =>
  deltaE2000(finished(place, ...one), finished(place, ...other));

describe('every kind of coat', () => {
  test.each(kinds)('%s begins sound from a stocked shelf, is laid, and is read back from the card', (kind) => {
    const begun = starting(kind);
    expect(coatSchema.safeParse(begun).success).toBe(true);
    const design = designWith([coat.wipe, begun]);
    const plan = planOf(design, workshop);
    const [, planned] = plan.coats;
    const [, printed] = cardOf(plan, design, workshop.settings).coats;
    expect(printed).toMatchObject({ number: 2, title: planned.title, where: planned.where });
    expect(printed.does).not.toBe('');
    // What is used by eye is told as such, what is counted as it is.
    for (const { name, reads, counted } of planned.uses)
      expect(printed.amounts).toContain(`${counted ? '' : 'about '}${reads} of ${name}`);
  });
  test('the demo uses at least fourteen of them, and no demo design has anything to look at', () => {
    const used = new Set(demoNames.flatMap((name) => demoFile(name).design.coats.map(({ kind }) => kind)));
    expect(used.size).toBeGreaterThanOrEqual(14);
    for (const name of demoNames) {
      const { design, shelf, settings } = demoFile(name);
      expect(planOf(design, { shelf, settings }).findings.map(({ rule }) => `${name}: ${rule}`)).toEqual([]);
    }
  });
});

describe('masks', () => {
  const masked = [{ kind: 'mask', on: ['low'] }, coat.base, { kind: 'unmask', on: ['low'] }];
  test('what is under one gets nothing of the coats until it is pulled', () => {
    const plan = laid(...masked);
    expect(plan.finished['low']).toBe(plan.bareWall);
    expect(plan.finished['high']).not.toBe(plan.bareWall);
    expect(plan.coats[1].area).toBeCloseTo((laid(coat.base).coats[0].area ?? 0) - (plan.coats[0].area ?? 0), 9);
  });
  test('once pulled, the next coat reaches it', () => {
    const plan = laid(...masked, coat.base);
    expect(plan.finished['low']).toBe(plan.finished['high']);
  });
  test('wet glue waits for no mask that is pulled wet; one pulled dry waits for the glue', () => {
    const coats = [{ kind: 'mask', on: ['low'] }, coat.brush, coat.glitter, { kind: 'unmask', on: ['low'] }];
    const settings = { ...workshop.settings, unmasking: 'after drying' as const };
    expect(laid(...coats).coats[2].wait.minutes).toBe(0);
    expect(planOf(designWith(coats), { ...workshop, settings }).coats[2].wait.minutes).toBeGreaterThan(0);
  });
});

describe('what they do to the colour', () => {
  const dark = { ...coat.base, paint: 'soft-black' };
  test('misted specks lie between the ground and the paint, more so with each mist', () => {
    const mist = (passes: number) => apart('low', [coat.base, { ...dark, way: 'misted', passes }], [coat.base]);
    expect(mist(1)).toBeGreaterThan(3);
    expect(mist(3)).toBeGreaterThan(mist(1));
    expect(apart('low', [coat.base, dark], [coat.base])).toBeGreaterThan(mist(3));
  });
  test.each(['pearl', 'dab'] as const)('%s comes out over a dark base and hardly over a white one', (kind) => {
    const light = { ...coat.base, paint: 'limewash' };
    const over = (ground: object) => apart('low', [ground, { ...starting(kind), id: 'x' }], [ground]);
    expect(over(dark)).toBeGreaterThan(2 * over(light));
  });
  test('pearl is held by glue alone, and only once', () => {
    const buff = { kind: 'buff', on: 'all', ink: 'fog-lamp' };
    expect(apart('low', [dark, buff], [dark])).toBe(0);
    const tacky = { kind: 'glue', on: 'all', glue: 'tacky-coat', resin: null };
    expect(apart('low', [dark, tacky, buff], [dark])).toBeGreaterThan(5);
    expect(apart('low', [dark, tacky, buff, buff], [dark, tacky, buff])).toBe(0);
  });
  test.each(['paper', 'foil', 'paste'] as const)('%s covers so much of a place as is said', (kind) => {
    const share = (percent: number) => apart('low', [dark, { ...starting(kind), id: 'x', share: percent }], [dark]);
    expect(share(80)).toBeGreaterThan(share(20));
    expect(share(20)).toBeGreaterThan(1);
  });
  test('a sprinkle is as many flakes as were asked for, and takes as much from the jar', () => {
    const sprinkle = (flakes: number) => ({ kind: 'sprinkle', on: ['low'], glitter: 'penny-rain', flakes });
    const [, few] = laid(coat.resin, sprinkle(4)).coats;
    const [, many] = laid(coat.resin, sprinkle(8)).coats;
    expect(many.uses[0].amount).toBeCloseTo(2 * few.uses[0].amount, 9);
    expect(laid(coat.resin, sprinkle(4)).totals.glitters).toMatchObject([{ item: 'penny-rain', ml: few.uses[0].amount }]);
  });
});

describe('waits', () => {
  test('a coat that something is laid into while wet waits for it, and then for what comes next', () => {
    const sprinkle = { kind: 'sprinkle', on: 'all', glitter: 'penny-rain', flakes: 4 };
    const alone = laid(coat.resin, coat.sand).coats[0].wait;
    expect(
      laid(coat.resin, sprinkle, coat.sand)
        .coats.map(({ wait }) => wait.minutes)
        .slice(0, 2),
    ).toEqual([0, alone.minutes]);
    const tacky = laid(coat.resin, coat.resin).coats[0].wait;
    expect(laid(coat.resin, sprinkle, coat.resin).coats[1].wait).toEqual(tacky);
    expect(tacky.closes).toBeGreaterThan(tacky.minutes);
  });
  test('brushed paint dries in a fraction of the time of sprayed', () => {
    const wait = (way: string) => laid({ ...coat.base, way }).coats[0].wait.minutes;
    expect(wait('brushed')).toBeLessThan(wait('sprayed') / 4);
  });
});

describe('strips', () => {
  const strip = (centre: number, more: object = {}) => ({
    kind: 'strip',
    film: 'hearth-foil',
    width: 6,
    centre,
    length: 260,
    ...more,
  });
  test('a new one is cut long enough for its height', () => {
    const begun = starting('strip');
    expect(planOf(designWith([begun]), workshop).findings.filter(({ rule }) => rule === 'strip that fits')).toEqual([]);
  });
  test('take a sheet by how many are cut side by side', () => {
    const use = (width: number) => laid(strip(90, { width })).coats[0].uses[0].amount;
    expect(use(12)).toBeGreaterThan(use(6));
  });
});

describe('schools', () => {
  const text = (schools: object, ...coats: readonly object[]) =>
    planOf({ ...designWith(coats), schools }, workshop)
      .coats.map(({ does, cautions }) => [does, ...cautions].join(' '))
      .join(' ');
  test('say how resin is stirred and its bubbles driven out, by workshop or by design', () => {
    expect(text({}, coat.resin)).toMatch(/Stir together 3 min/);
    expect(text({ mixing: 'each alone first' }, coat.resin)).toMatch(/each alone 1 min/);
    expect(text({ bubbles: 'flame' }, coat.resin)).toMatch(/No flame while alcohol/);
    const settings: Workshop['settings'] = { ...workshop.settings, bubbles: 'leave' };
    expect(planOf(designWith([coat.resin]), { ...workshop, settings }).coats[0].does).toMatch(/Leave the bubbles/);
  });
  test('are told in the history, and when it goes with the workshop again', () => {
    const [plainly, own] = [designWith([]), { ...designWith([]), schools: { bubbles: 'leave' as const } }];
    expect(changesBetween(plainly, own, workshop)).toEqual(['Bubbles are driven out with: nothing.']);
    expect(changesBetween(own, plainly, workshop)).toEqual(['Bubbles are driven out with: as the workshop does.']);
  });
  test('a design’s own stand before its workshop’s', () => {
    const settings: Workshop['settings'] = { ...workshop.settings, sealing: 'always' };
    const design = designWith([coat.wipe, coat.glitter, coat.press, coat.resin]);
    const rules = (schools: object) => planOf({ ...design, schools }, { ...workshop, settings }).findings.map(({ rule }) => rule);
    expect(rules({})).toContain('seal raw glitter');
    expect(rules({ sealing: 'never' })).not.toContain('seal raw glitter');
  });
});

test('a coat taken out again leaves the plan as it was', () => {
  const before = designWith([coat.base, coat.wipe]);
  for (const kind of kinds) {
    const more = { ...before, coats: [...before.coats, starting(kind)] };
    expect(planOf(withoutCoat(more, kind as CoatId), workshop).finished).toEqual(planOf(before, workshop).finished);
  }
});

describe('where a new coat belongs', () => {
  const usual = ['prep', 'base', 'glue', 'glitter', 'press', 'seal', 'resin', 'sand', 'resin', 'rest'] as const;
  const design = { ...plain, coats: usual.map((kind, i) => ({ ...starting(kind), id: `${i} ${kind}` as CoatId })) };
  const before = (kind: CoatKindName, open: string | null = null) => placeForCoat(kind, design, open);
  test.each([
    ['base', '2 glue'],
    ['pearl', '2 glue'],
    ['mask', '2 glue'],
    ['buff', '5 seal'],
    ['sprinkle', '9 rest'],
    ['rim', '9 rest'],
    ['ink', '9 rest'],
    ['strip', '9 rest'],
    ['decal', '9 rest'],
    ['rest', null],
  ] as const)('%s goes before %s', (kind, place) => expect(before(kind)).toBe(place));
  test('right after the one that is looked at, and at the end where there is nothing else', () => {
    expect(before('ink', '3 glitter')).toBe('4 press');
    expect(before('ink', '9 rest')).toBeNull();
    expect(placeForCoat('ink', plain)).toBeNull();
  });
});
