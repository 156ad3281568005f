import {
  asOwn,
  designLine,
  glueWays,
  planOf,
  readinessOf,
  shelfItemSchema,
  usualCoats,
  withFix,
  type CoatId,
  type Design,
  type Finding,
  type ShelfItem,
  type Workshop,
} from '../src';
import { typicalShelf } from '../src/first-shelf';
import { designWith, workshop } from './workshop';

let made = 0;
const newId = () => `new-${(made += 1)}`;
const shelf = typicalShelf(newId);
const typical: Workshop = { settings: workshop.settings, shelf: [...shelf] };
const gold = shelf.find(({ name }) => name === 'Gold, medium')?.id ?? '';
const teal = shelf.find(({ name }) => name === 'Teal, medium')?.id ?? '';
const twoBands = (): Design =>
  designWith([], {
    areas: [
      { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
      { kind: 'band', id: 'high', name: 'High', from: 80, to: 170 },
    ],
    blends: [
      { area: 'low', parts: [{ item: gold, ml: 6 }] },
      { area: 'high', parts: [{ item: teal, ml: 6 }] },
    ],
  });
const withUsual = (design: Design, over: Workshop): Design => ({ ...design, coats: [...usualCoats(design, over, newId)] });
const readiness = (design: Design, over: Workshop) => {
  const { coats, findings } = planOf(design, over);
  return readinessOf(coats.length, findings);
};
const fixed = (design: Design, over: Workshop, finding: Finding | undefined): Design => {
  if (!finding?.fix) throw new Error('it offers no fix');
  return withFix(design, finding.fix, over, newId() as CoatId);
};
const ruled = (design: Design, over: Workshop, rule: string) => planOf(design, over).findings.find((one) => one.rule === rule);

describe('typical materials', () => {
  test('are sound items, each once, and all wear their mark', () => {
    expect(shelf.map((item) => shelfItemSchema.parse(item))).toEqual(shelf);
    expect(new Set(shelf.map(({ id }) => id)).size).toBe(shelf.length);
    expect(new Set(shelf.map(({ kind, name }) => `${kind} ${name}`)).size).toBe(shelf.length);
    expect(shelf.every((item) => item.typical)).toBe(true);
  });
  test('there is one of every kind that a cup may want', () => {
    const of = <Kind extends ShelfItem['kind']>(kind: Kind) =>
      shelf.filter((item): item is Extract<ShelfItem, { kind: Kind }> => item.kind === kind);
    expect(of('resin').map(({ ratio }) => ratio.join(':'))).toEqual(['1:1', '2:1']);
    expect(of('glue').map(({ way }) => way)).toEqual([...glueWays]);
    expect(of('paint')).toHaveLength(12);
    expect(new Set(of('ink').map(({ type }) => type))).toEqual(new Set(['dye', 'pigment', 'pearl']));
    expect(new Set(of('glitter').map(({ flake }) => flake.cut))).toEqual(new Set([0.2, 0.4, 1]));
  });
  test('what was looked at is the maker’s own', () => {
    expect('typical' in asOwn(shelf[0])).toBe(false);
    expect(shelf[0].typical).toBe(true);
  });
  test('a plan made with them says so, and how many they are', () => {
    const design = withUsual(twoBands(), typical);
    expect(ruled(design, typical, 'typical materials')?.says).toMatch(/^6 materials of this plan are typical, not measured: “/);
    const one = { ...typical, shelf: shelf.map((item) => (item.id === gold ? item : asOwn(item))) };
    expect(ruled(design, one, 'typical materials')?.says).toBe(
      '1 material of this plan is typical, not measured: “Gold, medium”.',
    );
    const own = { ...typical, shelf: shelf.map(asOwn) };
    expect(ruled(design, own, 'typical materials')).toBeUndefined();
  });
});

describe('ready to print', () => {
  test('is said of the usual order on a shelf that has what it takes', () => {
    const design = withUsual(twoBands(), typical);
    expect(readiness(design, typical)).toEqual({ ready: true, line: 'ready to print' });
    expect(designLine(planOf(design, typical))).toMatchObject({ level: 'clean' });
  });
  test('is not said without a coat', () =>
    expect(readiness(twoBands(), typical)).toEqual({ ready: false, line: 'wants coats first' }));
  test.each(['glue', 'resin'] as const)(
    'is not said where the shelf has no %s; with some, the fix on offer settles it',
    (kind) => {
      const lacking = { ...typical, shelf: shelf.filter((item) => item.kind !== kind) };
      const design = withUsual(twoBands(), lacking);
      expect(readiness(design, lacking).ready).toBe(false);
      const rule = kind === 'glue' ? 'glitter without glue' : 'glitter not closed';
      const once = fixed(design, typical, ruled(design, typical, rule));
      expect(ruled(once, typical, rule)).toBeUndefined();
    },
  );
  test('is not said of the usual order on an empty shelf, with no blend to pour', () => {
    const empty = { ...typical, shelf: [] };
    const design = withUsual({ ...twoBands(), blends: [] }, empty);
    expect(planOf(design, empty).findings.map(({ rule }) => rule)).toEqual(['nothing to pour', 'glitter not closed']);
    expect(readiness(design, empty)).toEqual({ ready: false, line: '2 things to settle first' });
    const closed = fixed(design, typical, ruled(design, empty, 'glitter not closed'));
    expect(ruled(closed, typical, 'glitter not closed')).toBeUndefined();
  });
  test('is not said while a jar is short', () => {
    const short = { ...typical, shelf: shelf.map((item) => (item.id === gold ? { ...item, left: 1 } : item)) };
    expect(readiness(withUsual(twoBands(), short), short)).toEqual({ ready: false, line: '1 material short' });
  });
  test('is not said while a blend is in no pour; the coat on offer pours just that', () => {
    const whole = withUsual(twoBands(), typical);
    const design = {
      ...whole,
      coats: whole.coats.map((coat) => (coat.kind === 'glitter' ? { ...coat, on: [whole.areas[0].id] } : coat)),
    };
    const finding = ruled(design, typical, 'blend not poured');
    expect(finding?.says).toBe('No coat pours the glitter of High.');
    const after = fixed(design, typical, finding);
    expect(ruled(after, typical, 'blend not poured')).toBeUndefined();
    expect(
      planOf(after, typical)
        .coats.flatMap(({ pours }) => pours.map(({ areaName }) => areaName))
        .sort(),
    ).toEqual(['High', 'Low']);
  });
});
