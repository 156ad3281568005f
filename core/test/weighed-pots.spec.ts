import fc from 'fast-check';
import {
  asTheStopsSay,
  cardOf,
  designSchema,
  faultsOf,
  planOf,
  tidy,
  withFade,
  withStopBase,
  withWeighedPot,
  type AreaId,
  type Cup,
  type Design,
  type Fade,
} from '../src';
import { asDone, fromHere, makeOf, recipeWith, type Make, type MakeId } from '../src/make';
import { changesBetween } from '../src/history';
import { refit } from '../src/refit';
import { AT, coatOf, entry, upTo } from './made';
import { demoFile, jar, workshop } from './workshop';

/* Pots of a fade that were poured otherwise than planned, and a recipe that lays them so again. */
const NOON = 'noon' as AreaId;
const { design } = demoFile('apiary-noon');
const fadeOf = ({ fades }: Design): Fade => {
  const fade = fades.find(({ area }) => area === NOON);
  if (!fade) throw new Error('no fade');
  return fade;
};
const withCastOff = (castOff: boolean): Design => withFade(design, NOON, (fade) => ({ ...fade, castOff }));
const makeOfDesign = (of: Design, cups = 1): Make =>
  makeOf({ id: 'm' as MakeId, cups, label: '' }, { design: of, revision: 1, workshop, number: 1, at: AT });
const potsOf = (of: Design) => planOf(of, workshop).fades[0].laid?.pots ?? [];
const potKey = (key: string) => key.startsWith(`pour/${NOON}/pot-`);
const done = (make: Make, more: (key: string) => number) =>
  make.steps.map(({ coat, amounts }, i) =>
    entry(i, {
      what: 'done',
      coat,
      poured: Object.fromEntries(
        amounts.flatMap(({ key, amount }) => (potKey(key) ? [[key, tidy(Math.min(9_000, amount * more(key)))] as const] : [])),
      ),
    }),
  );

test.each([
  [false, 1],
  [true, 1],
  [false, 3],
])('begun with cast-off %s, for %s cups: the recipe as done asks of the jars what was weighed', (castOff, cups) => {
  const make = makeOfDesign(withCastOff(castOff), cups);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.3, max: 2, noNaN: true }), { minLength: 30, maxLength: 30 }), (times) => {
      const keys = [...new Set(make.steps.flatMap(({ amounts }) => amounts.map(({ key }) => key)))];
      const log = done(make, (key) => times[keys.indexOf(key) % times.length]);
      const changes = asDone(make, log, workshop.settings);
      expect(changes.every(({ of, really }) => /pot \d/.test(of) && / ml /.test(really))).toBe(true);
      const again = makeOfDesign(recipeWith(make, changes), cups);
      make.steps.forEach((step, i) => {
        const written = log[i];
        if (written.what !== 'done') return;
        for (const { key, amount } of again.steps[i].amounts)
          if (potKey(key)) expect([key, amount]).toEqual([key, expect.closeTo(written.poured[key], 5)]);
        expect(again.steps[i].amounts.map(({ key }) => key)).toEqual(step.amounts.map(({ key }) => key));
      });
    }),
    { numRuns: 15 },
  );
});

test('a pot that was poured as planned stays one that the stops say', () => {
  const make = makeOfDesign(design);
  const log = done(make, (key) => (key.includes('/pot-2/') ? 1.5 : 1));
  const { weighed } = fadeOf(recipeWith(make, asDone(make, log, workshop.settings)));
  expect(weighed?.map(({ pot }) => pot)).toEqual([1]);
});

test('a slip of the pen is no change to the recipe: what no cup takes is left as it was planned', () => {
  const make = makeOfDesign(design);
  expect(
    asDone(
      make,
      done(make, () => 1e5),
      workshop.settings,
    ),
  ).toEqual([]);
});

test('half a pot too little is told of that pot alone: what stays bare there, and how far its colour is off', () => {
  const make = makeOfDesign(design);
  const glitter = coatOf(make, 'glitter');
  const laying = Object.fromEntries(
    glitter.amounts.flatMap(({ key, amount }) => (key.includes('/pot-3/') ? [[key, amount * 0.4] as const] : [])),
  );
  const { places } = fromHere(make, upTo(make, glitter.coat), laying, workshop.settings);
  expect(places.map(({ name }) => name)).toEqual([expect.stringMatching(/pot 3/)]);
  expect(Number(places[0].bare)).toBeGreaterThan(Number(places[0].bareBefore));
});

test('a pot of which nothing was poured leaves its wall bare, and the card asks no jar for it', () => {
  const none = designSchema.parse(withFade(design, NOON, (fade) => withWeighedPot(fade, { pot: 2, parts: [] })));
  const plan = planOf(none, workshop);
  const pot = plan.fades[0].laid?.pots[2];
  expect(pot).toMatchObject({ weighed: true, ml: 0, bare: 1, parts: [], spoons: [] });
  expect(plan.finished[String(pot?.id)] ?? plan.bareWall).not.toBe(planOf(design, workshop).finished[String(pot?.id)]);
  expect(JSON.stringify(cardOf(plan, none, workshop.settings))).not.toMatch(/NaN|undefined/);
});

describe('a fade with a weighed pot', () => {
  const parts = [{ item: jar('brickfield').id, ml: 1.37 }];
  const weighed = designSchema.parse(withFade(design, NOON, (fade) => withWeighedPot(fade, { pot: 1, parts })));

  test('lays it as it was and every other as the stops say; no finer spoon is asked for, and none is said to be wasted', () => {
    const [before, after] = [potsOf(design), potsOf(weighed)];
    expect(after[1]).toMatchObject({ weighed: true, ml: 1.37, spoons: [{ stop: null, ml: 1.37 }] });
    for (const i of [0, 2, 3]) expect({ ...after[i], apart: null }).toEqual({ ...before[i], apart: null });
    const { laid } = planOf(weighed, workshop).fades[0];
    expect(laid?.verdict.why).not.toMatch(/finer spoon/);
    const much = withFade(design, NOON, (fade) => withWeighedPot(fade, { pot: 1, parts: [{ ...parts[0], ml: 40 }] }));
    expect(planOf(much, workshop).fades[0].laid?.surplus.ml).toBe(laid?.surplus.ml);
  });
  test('is as the stops say once they say something else, and stays as it was where only its base is another', () => {
    expect(fadeOf(withFade(weighed, NOON, (fade) => ({ ...fade, pots: fade.pots + 1 }))).weighed).toBeUndefined();
    expect(fadeOf(withFade(weighed, NOON, (fade) => ({ ...fade, depth: fade.depth * 1.1 }))).weighed).toBeUndefined();
    const paint = workshop.shelf.find(({ kind }) => kind === 'paint');
    expect(fadeOf(withStopBase(weighed, NOON, 0, paint?.id ?? null)).weighed).toEqual([{ pot: 1, parts }]);
    const taken = withFade(weighed, NOON, asTheStopsSay);
    expect(potsOf(taken)).toEqual(potsOf(design));
  });
  test('is told in the history by its pots, and so is their going', () => {
    expect(changesBetween(design, weighed, workshop).join(' ')).toMatch(/Noon: Pot 2 is as it was weighed/);
    expect(changesBetween(weighed, design, workshop).join(' ')).toMatch(/The pots of Noon as its stops say again\./);
  });
  test('weighed twice, of a pot it hasn’t or with a jar it doesn’t fade through, is refused with a sentence', () => {
    const wrong = (weighed: unknown) => {
      const read = designSchema.safeParse(withFade(design, NOON, (fade) => ({ ...fade, weighed: weighed as Fade['weighed'] })));
      return read.success ? '' : (faultsOf(read.error).at(0)?.sentence ?? '');
    };
    expect(
      wrong([
        { pot: 1, parts },
        { pot: 1, parts },
      ]),
    ).toMatch(/^Pot 2 was weighed twice/);
    expect(wrong([{ pot: 23, parts }])).toMatch(/no pot 24 in this fade/);
    expect(wrong([{ pot: 1, parts: [{ item: jar('lamp-oil').id, ml: 1 }] }])).toMatch(/in no stop of the fade/);
    expect(wrong('rubbish')).toBe('Here a list is wanted.');
    expect(wrong([])).toBe('');
  });
  test('on a cup of twice the size takes as much more as there is to cover, and on its own as much as it took', () => {
    const { cup } = weighed;
    const doubled: Cup = {
      ...cup,
      lipStrip: cup.lipStrip * 2,
      stations: cup.stations.map(({ height, circumference }) => ({ height: height * 2, circumference: circumference * 2 })),
    };
    const on = (to: Cup) => {
      const read = refit(weighed, to, { heights: 'share', teeth: 'number', motifs: 'scaled' }, workshop);
      if (!read.fits) throw new Error(read.says);
      return fadeOf(read.design).weighed?.[0].parts[0].ml;
    };
    expect(on(cup)).toBe(1.37);
    expect(on(doubled)).toBeCloseTo(4 * 1.37, 1);
  });
});
