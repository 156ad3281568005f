import {
  coverAt,
  coverCurve,
  coveringBlend,
  deltaE2000,
  heightOf,
  itemOf,
  labOf,
  planOf,
  reflectanceOf,
  typicalCups,
  withJar,
  suggestedDesign,
  type AreaId,
  type Coat,
  type Design,
  type ShelfItemId,
  type Workshop,
} from '../src';
import { typicalShelf } from '../src/first-shelf';
import { coat, demoFile, designWith, workshop } from './workshop';

let made = 0;
const newId = () => `new-${(made += 1)}`;
const typical: Workshop = { settings: workshop.settings, shelf: [...typicalShelf(newId)] };
const idOf = (name: string): ShelfItemId => {
  const found = typical.shelf.find((item) => item.name === name && item.kind === 'glitter');
  if (!found) throw new Error(`no ${name}`);
  return found.id;
};
const [low, high] = ['low', 'high'] as AreaId[];
const bands = (coats: readonly object[] = []): Design =>
  designWith(coats, {
    areas: [
      { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
      { kind: 'band', id: 'high', name: 'High', from: 80, to: 170 },
    ],
    blends: [],
  });
const blendOf = (design: Design, area: AreaId) => planOf(design, typical).blends.find((blend) => blend.area === area);
const mlOf = (design: Design, area: AreaId) =>
  design.blends.find((blend) => blend.area === area)?.parts.map(({ ml }) => ml) ?? [];

describe('a first jar begins with what covers its area', () => {
  const jars = ['Gold, fine', 'Teal, medium', 'Copper, chunky'];
  const aSpoonLess = (design: Design, name: string): Design => {
    const ml = mlOf(design, low)[0] - typical.settings.spoonStep;
    return { ...design, blends: [{ area: low, parts: [{ item: idOf(name), ml }] }] };
  };
  test.each(jars)('%s in two pours: 5 % bare at most, and a spoon less would leave more', (name) => {
    const wipe = typical.shelf.find((item) => item.kind === 'glue' && item.way === 'resin wipe')?.id;
    const glued = bands([{ ...coat.brush, glue: wipe }, coat.glitter, { ...coat.brush, glue: wipe }, coat.glitter]);
    const begun = withJar(glued, low, idOf(name), typical);
    expect(blendOf(begun, low)?.bare).toBeLessThanOrEqual(0.0501);
    expect(blendOf(aSpoonLess(begun, name), low)?.bare).toBeGreaterThan(0.0499);
  });
  test.each(jars)('%s in the one pour that is usual: all but a tenth of what its glue holds, and no spoon more', (name) => {
    const begun = suggestedDesign(withJar(bands(), low, idOf(name), typical), typical, newId);
    const filled = (design: Design) => {
      const blend = blendOf(design, low);
      return (blend?.kept ?? 0) / (blend?.hold ?? NaN);
    };
    expect(filled(begun)).toBeGreaterThanOrEqual(0.8999);
    expect(filled(aSpoonLess(begun, name))).toBeLessThan(0.9001);
  });
  test('a coat of glue that is there already is reckoned with', () => {
    const thin = typical.shelf.find((item) => item.kind === 'glue' && item.way === 'brush-on')?.id;
    const glued = (passes: number) =>
      bands(Array.from({ length: passes }, () => [{ ...coat.brush, glue: thin }, coat.glitter]).flat());
    const [twice, four] = [2, 4].map((passes) => mlOf(withJar(glued(passes), low, idOf('Gold, medium'), typical), low)[0]);
    expect(four).toBeLessThan(twice);
  });
  test('on an area that later ones cover wholly it is four spoons', () => {
    const under = { ...bands(), areas: bands().areas.map((area) => ({ ...area, from: 0, to: 80 })) } as Design;
    const hidden = withJar(designWith([], { areas: [...under.areas], blends: [] }), low, idOf('Gold, medium'), typical);
    expect(mlOf(hidden, low)).toEqual([4 * typical.settings.spoonStep]);
  });
});

test('a second jar takes half of what is poured, a third a third', () => {
  const one = withJar(bands(), low, idOf('Gold, medium'), typical);
  const [total] = mlOf(one, low);
  const two = withJar(one, low, idOf('Teal, medium'), typical);
  const three = withJar(two, low, idOf('Black, medium'), typical);
  const { spoonStep } = typical.settings;
  for (const [design, jars] of [
    [two, 2],
    [three, 3],
  ] as const)
    for (const ml of mlOf(design, low)) expect(Math.abs(ml - total / jars)).toBeLessThanOrEqual(jars * spoonStep);
  expect(withJar(three, low, idOf('Gold, medium'), typical)).toBe(three);
});

describe('a patchy blend is covered in one press', () => {
  const wipe = typical.shelf.find((item) => item.kind === 'glue' && item.way === 'resin wipe')?.id;
  const glued = [{ ...coat.brush, glue: wipe }, coat.glitter];
  const step = typical.settings.spoonStep;
  const patchy = (coats: readonly object[]): Design => ({
    ...bands(coats),
    blends: [
      {
        area: low,
        parts: [
          { item: idOf('Gold, medium'), ml: 1.5 },
          { item: idOf('Teal, fine'), ml: 0.5 },
        ],
      },
    ],
  });
  const offered = (design: Design) => {
    const blend = blendOf(design, low);
    return blend ? coveringBlend(blend, typical.shelf, step) : null;
  };
  test('where two pours can hold it, or no coat says yet that they can’t: then 5 % stay bare', () => {
    for (const coats of [[...glued, ...glued], []]) {
      const design = patchy(coats);
      const parts = offered(design)?.parts ?? [];
      expect(parts).toHaveLength(2);
      const after = { ...design, blends: [{ area: low, parts: parts.map(({ item, ml }) => ({ item, ml })) }] };
      expect(blendOf(design, low)?.bare).toBeGreaterThan(0.1);
      expect(blendOf(after, low)?.bare).toBeLessThanOrEqual(0.0501);
      expect(offered(after)).toBeNull();
    }
  });
  test('and isn’t offered where one pour can’t hold it, or no glue lies under it', () => {
    expect(offered(patchy(glued))).toBeNull();
    expect(offered(patchy([coat.glitter]))).toBeNull();
  });
});

describe('the usual order', () => {
  const two = withJar(withJar(bands(), low, idOf('Teal, medium'), typical), high, idOf('Gold, medium'), typical);
  const laidOn = (coats: readonly Coat[], area: AreaId) =>
    coats.filter((one) => one.kind === 'base' && (one.on === 'all' || one.on.includes(area))).at(-1);

  test('lays under each mix the paint that shows least between its flakes', () => {
    const { coats } = suggestedDesign(two, typical, newId);
    for (const area of [low, high]) {
      const own = labOf(
        reflectanceOf(
          itemOf(typical.shelf, two.blends.find((one) => one.area === area)?.parts[0].item ?? '', 'glitter')?.flake.colour ?? '',
        ),
      );
      const off = (id: string) => deltaE2000(own, labOf(reflectanceOf(itemOf(typical.shelf, id, 'paint')?.colour ?? '')));
      const laid = laidOn(coats, area);
      const best = typical.shelf.filter(({ kind }) => kind === 'paint').map(({ id }) => off(id));
      expect(laid?.kind === 'base' ? off(laid.paint) : NaN).toBeCloseTo(Math.min(...best), 6);
    }
  });
  test('is one base all over where one paint suits all', () => {
    const same = withJar(withJar(bands(), low, idOf('Teal, medium'), typical), high, idOf('Teal, fine'), typical);
    expect(suggestedDesign(same, typical, newId).coats.filter(({ kind }) => kind === 'base')).toMatchObject([{ on: 'all' }]);
  });
  test('glues only where glitter goes', () => {
    const one = withJar(bands(), low, idOf('Teal, medium'), typical);
    const glue = (design: Design) => suggestedDesign(design, typical, newId).coats.find(({ kind }) => kind === 'glue');
    expect(glue(one)).toMatchObject({ on: [low] });
    expect(glue(two)).toMatchObject({ on: 'all' });
    expect(glue(bands())).toMatchObject({ on: 'all' });
  });
});

test('the curve of cover rises, and goes through what there is now and what full cover takes', () => {
  for (const [name, area] of [
    ['copper-eaves', 'Eaves'],
    ['orchard-frost', 'Sky'],
  ] as const) {
    const { design, settings, shelf } = demoFile(name);
    const blend = planOf(design, { settings, shelf: [...shelf] }).blends.find(({ areaName }) => areaName === area);
    if (!blend) throw new Error(`no ${area}`);
    const curve = coverCurve(blend);
    expect(curve[0]).toEqual({ ml: 0, cover: 0 });
    curve.slice(1).forEach(({ cover }, i) => expect(cover).toBeGreaterThan(curve[i].cover));
    expect(coverAt(blend, blend.ml)).toBeCloseTo(1 - blend.bare, 9);
    expect(curve.at(-1)?.ml).toBeGreaterThan(Math.max(blend.ml, blend.forCover.ml ?? 0));
    if (blend.forCover.ml !== null) expect(coverAt(blend, blend.forCover.ml)).toBeCloseTo(blend.forCover.share, 9);
  }
});

test.each(typicalCups.map((cup) => [cup.name, cup] as const))(
  '%s: the usual order has nothing to look at, whatever the cut',
  (_, cup) => {
    for (const name of ['Gold, fine', 'Teal, medium', 'Copper, chunky']) {
      const whole = [{ kind: 'band', id: 'low', name: 'Low', from: 0, to: heightOf(cup) - cup.lipStrip }];
      const design = withJar(designWith([], { cup, areas: whole, blends: [] }), low, idOf(name), typical);
      const { findings } = planOf(suggestedDesign(design, typical, newId), typical);
      expect(findings.filter(({ level }) => level !== 'tip')).toEqual([]);
    }
  },
);
