import fc from 'fast-check';
import {
  circumferenceAt,
  cupField,
  fieldPlanOf,
  pieceEdges,
  plainOutlines,
  planOf,
  regionArea,
  typicalCups,
  type Cup,
  type FieldRequest,
  type Plan,
} from '../src';
import { templatesOf } from '../src/templates';
import { coat, designWith, workshop } from './workshop';

const decal = { kind: 'decal', film: 'chalk-matt', name: 'Mark', width: 30, height: 20, centre: 90 };
const strip = { kind: 'strip', film: 'hearth-foil', width: 6, centre: 90, length: 300 };
const laid = (...coats: readonly object[]) => planOf(designWith(coats), workshop);
const picture = (plan: Plan, cup = designWith([]).cup): FieldRequest => cupField(fieldPlanOf(plan), cup, 3);
/** Pixels of a picture whose lowest layer is paint or film of a colour, as cm² of wall. */
const shows = (plan: Plan, colour: string): number => {
  const { regions, width, rowsPerMm, columnsPerMm } = picture(plan);
  return regions
    .filter(({ look }) => look[0]?.layer === 'ground' && look[0].colour === colour)
    .flatMap(({ pixels }) => [...pixels])
    .reduce((sum, pixel) => sum + 1 / rowsPerMm / columnsPerMm(Math.floor(pixel / width)) / 100, 0);
};
const [piece] = laid(decal).pieces;

describe('a piece on the wall', () => {
  test('is as large as it is cut, on any cup, wherever it lies clear of foot and rim', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...typicalCups),
        fc.record({
          width: fc.double({ min: 4, max: 30, noNaN: true }),
          height: fc.double({ min: 4, max: 30, noNaN: true }),
          up: fc.double({ min: 0.3, max: 0.7, noNaN: true }),
          angle: fc.integer({ min: 0, max: 360 }),
          times: fc.integer({ min: 1, max: 3 }),
        }),
        (cup: Cup, { up, ...size }) => {
          const tall = cup.stations[cup.stations.length - 1].height;
          const centre = tall * up;
          fc.pre(size.height < 0.5 * tall && size.times * size.width < 0.9 * circumferenceAt(cup.stations, centre));
          const design = designWith([{ ...decal, ...size, centre }], { cup, areas: [], blends: [] });
          const { region } = planOf(design, workshop).pieces[0];
          // Round a bulge a flat sheet meets more wall or less; a stem is no place for one.
          const right = (size.times * size.width * size.height) / 100;
          expect(regionArea(cup.stations, region) / right).toBeGreaterThan(0.97);
          expect(regionArea(cup.stations, region) / right).toBeLessThan(1.03);
        },
      ),
      { numRuns: 200 },
    );
  });
  test.each(plainOutlines)('%s fills the width and the height it is given', (shape) => {
    const { region } = laid({ ...decal, outline: { shape } }).pieces[0];
    const heights = region.flat(2).map(([, height]) => height);
    const angles = region.flat(2).map(([angle]) => angle);
    const [low, high] = [Math.min(...heights), Math.max(...heights)];
    const slant = Math.hypot(180, 60 / (2 * Math.PI)) / 180;
    expect((high - low) * slant).toBeCloseTo(20, 1);
    const tape = circumferenceAt(designWith([]).cup.stations, 90);
    expect(((Math.max(...angles) - Math.min(...angles)) / 360) * tape).toBeCloseTo(30, 0);
    expect(regionArea(designWith([]).cup.stations, region)).toBeLessThan(6);
  });
  test('is repeated evenly round, and takes film and time for each', () => {
    const [five] = laid({ ...decal, times: 5 }).pieces;
    expect(five.region).toHaveLength(5);
    const [one, all] = [laid(decal).coats[0], laid({ ...decal, times: 5 }).coats[0]];
    expect(all.uses[0].amount).toBeCloseTo(5 * one.uses[0].amount, 9);
    expect(all.handsOn).toBe(5 * one.handsOn);
    const step = circumferenceAt(designWith([]).cup.stations, 90) / 5;
    expect(all.does).toContain(`every ${Number(step.toFixed(1))} mm by the tape there`);
  });
  test('a strip lies as wide along the wall as it is cut, and nothing of it below the foot', () => {
    const { cup } = designWith([]);
    const cut = (centre: number) =>
      regionArea(cup.stations, laid({ ...strip, centre }).pieces[0].region) / (0.06 * circumferenceAt(cup.stations, centre));
    expect(cut(90)).toBeCloseTo(1, 3);
    expect(cut(0)).toBeCloseTo(0.5, 2);
  });
});

describe('pieces in the picture', () => {
  const gold = '#b4763a';
  const chalk = '#ece5d3';
  test('a film hides as much of the wall as it is large; clear film and a tag hide nothing', () => {
    expect(shows(laid(coat.base, decal), chalk)).toBeCloseTo(6, 1);
    expect(
      shows(laid(coat.base, strip), gold) / regionArea(designWith([]).cup.stations, laid(strip).pieces[0].region),
    ).toBeCloseTo(1, 1);
    const plain = picture(laid(coat.base));
    const seen = (more: object) => picture(laid(coat.base, more)).regions.map(({ pixels }) => pixels.length);
    expect(seen({ ...decal, film: 'window-clear' })).toEqual(plain.regions.map(({ pixels }) => pixels.length));
    expect(seen({ ...decal, film: null })).toEqual(plain.regions.map(({ pixels }) => pixels.length));
  });
  test('no pixel is shown twice, and none is lost', () => {
    const count = (plan: Plan) => picture(plan).regions.flatMap(({ pixels }) => [...pixels]);
    const all = count(laid(coat.base, decal, strip, { kind: 'outline', on: ['low'], film: 'chalk-matt', gap: 1, width: 2 }));
    expect(new Set(all).size).toBe(all.length);
    expect([...all].sort((a, b) => a - b)).toEqual(count(laid(coat.base)).sort((a, b) => a - b));
  });
  test('an outline is a line as wide as it is cut along the edges of its areas', () => {
    const round = (height: number) => circumferenceAt(designWith([]).cup.stations, height);
    const outline = { kind: 'outline', on: ['high'], film: 'chalk-matt', gap: 1, width: 2 };
    // At the lip strip only the half of it that lies on an area is seen.
    expect(shows(laid(coat.base, outline), chalk)).toBeCloseTo((2 * round(80) + round(170)) / 100, 0);
  });
  test('what is laid after it lies on it: ink over the film, paint over both', () => {
    const looks = (...coats: readonly object[]) =>
      picture(laid(...coats)).regions.filter(({ look }) =>
        look.some((layer) => layer.layer === 'ground' && layer.colour === chalk),
      );
    expect(looks(decal)[0].look).toHaveLength(1);
    expect(looks(decal, coat.ink)[0].look.map(({ layer }) => layer)).toEqual(['ground', 'film']);
    expect(looks(decal, coat.base)[0].look.map(({ layer }) => layer)).toEqual(['ground', 'ground']);
  });
});

test('off a cup that has become shorter, a piece is no region', () => {
  const { cup, coats } = designWith([{ ...decal, centre: 500 }]);
  const [gone] = coats;
  if (gone.kind !== 'decal') throw new Error('no decal');
  expect(pieceEdges(gone, cup, laid().areas).region).toEqual([]);
  expect(piece.name).toBe('Decal: Mark');
});

describe('templates of pieces', () => {
  const drawn = (...coats: readonly object[]) => {
    const design = designWith(coats);
    const offers = templatesOf(design, planOf(design, workshop));
    return offers.filter(({ id }) => id.endsWith('coat-0')).map(({ draw }) => draw({ overlap: 5, gap: 1, straight: false }));
  };
  test('a strip is as long as the wall is round there and its overlap, curved on a taper', () => {
    const [template] = drawn(strip);
    const widest = circumferenceAt(designWith([]).cup.stations, 93);
    expect(template.says[0]).toContain('5 mm are added');
    expect(template.sheets[0].width).toBeGreaterThan(0.7 * widest);
    expect(drawn({ ...strip, width: 30 })[0].warns).toMatch(/curved/);
  });
  test('a shaped decal is cut along its shape, a sheet along its edges', () => {
    const cuts = (template: (typeof made)[number]) => template.sheets[0].lines.filter(({ role }) => role === 'cut');
    const made = drawn({ ...decal, outline: { shape: 'ring' } });
    expect(cuts(made[0]).map(({ points }) => points.length)).toEqual([49, 49]);
    const [sheet] = drawn({ ...decal, kind: 'sheet' });
    expect(cuts(sheet).map(({ points }) => points.length)).toEqual([5]);
  });
});
