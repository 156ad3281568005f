import fc from 'fast-check';
import {
  areaSchema,
  circumferenceAt,
  cupSchema,
  inPolygon,
  layoutOf,
  outlineSchema,
  plainOutlines,
  planOf,
  radiusOf,
  reachOf,
  scatterPlaces,
  shapeOf,
  typicalCups,
  wallLength,
  designSchema,
  type ScatterWish,
} from '../src';
import { outlineFromSvg } from '../src/outline-file';
import { designWith, workshop } from './workshop';

const plump = cupSchema.parse(typicalCups.find((cup) => cup.shape === 'curved'));
const wish: ScatterWish = {
  stations: plump.stations,
  from: 10,
  to: 105,
  count: 120,
  apart: 8,
  dense: 0,
  seed: 42,
  allows: () => true,
};
const apart = ([a, h]: readonly [number, number], [b, g]: readonly [number, number]) => {
  const turn = Math.abs(a - b);
  const round = (radiusOf(circumferenceAt(plump.stations, h)) + radiusOf(circumferenceAt(plump.stations, g))) / 2;
  return Math.hypot(
    round * Math.min(turn, 360 - turn) * (Math.PI / 180),
    wallLength(plump.stations, Math.min(h, g), Math.max(h, g)),
  );
};

describe('a scatter', () => {
  test('is the same for ever by its seed, and another by another', () => {
    expect(scatterPlaces(wish)).toEqual(scatterPlaces({ ...wish }));
    expect(scatterPlaces({ ...wish, seed: 43 })).not.toEqual(scatterPlaces(wish));
    expect(scatterPlaces({ ...wish, count: 2 }).map(([a, h]) => [a.toFixed(3), h.toFixed(3)])).toMatchSnapshot();
  });
  test('keeps its distance on the wall, over the seam too, whatever is asked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 3, max: 20 }),
        fc.constantFrom(-1, 0, 0.7),
        fc.integer({ min: 0, max: 9999 }),
        (count, gap, dense, seed) => {
          const places = scatterPlaces({ ...wish, count, apart: gap, dense, seed });
          expect(places.filter(([, height]) => !(height >= 10 && height <= 105))).toEqual([]);
          const gaps = places.flatMap((one, i) => places.slice(0, i).map((other) => apart(one, other)));
          expect(gaps.filter((between) => !(between >= gap - 1e-6))).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('is spread wide when few are asked, and denser where it should be', () => {
    const few = scatterPlaces({ ...wish, count: 12, apart: 2 });
    const nearest = Math.min(
      ...few.map((one, i) => Math.min(...few.filter((_, j) => j !== i).map((other) => apart(one, other)))),
    );
    expect(nearest).toBeGreaterThan(15);
    const low = (dense: number) =>
      scatterPlaces({ ...wish, count: 100, apart: 3, dense }).filter(([, height]) => height < 57).length;
    expect(low(-1)).toBeGreaterThan(low(0) + 12);
    expect(low(1)).toBeLessThan(low(0) - 12);
  });
  test('that has no room for all says so; none touch each other or the edge they are in', () => {
    const scattered = (change: object) =>
      areaSchema.parse({
        kind: 'scatter',
        id: 'dots',
        name: 'Dots',
        outline: { shape: 'ring' },
        width: 12,
        count: 400,
        seed: 1,
        clearance: 3,
        turn: 'upright',
        inside: 'host',
        lower: { by: 'foot', mm: 0 },
        upper: { by: 'rim', mm: 0 },
        ...change,
      });
    const host = areaSchema.parse({
      kind: 'wedge',
      id: 'host',
      name: 'Host',
      from: 300,
      width: 120,
      lower: { by: 'foot', mm: 5 },
      upper: { by: 'rim', mm: 5 },
    });
    const design = designSchema.parse({ ...designWith([]), cup: plump, areas: [host, scattered({})], blends: [], coats: [] });
    const { areas, findings } = planOf(design, workshop);
    const placed = areas.areas[1].motifs?.placed ?? 0;
    expect(placed).toBeGreaterThan(10);
    expect(placed).toBeLessThan(400);
    expect(findings.find(({ rule }) => rule === 'motifs without room')?.says).toBe(
      `Only ${placed} of the 400 motifs of Dots have room.`,
    );
    const inHost = areas.areas[1].own
      .flat(2)
      .every(([angle, height]) =>
        areas.areas[0].own.some((polygon) => inPolygon(polygon, Math.min(359.9, Math.max(0.1, angle)), height)),
      );
    expect(inHost).toBe(true);
    const area = areas.areas[1].area;
    expect(area / placed).toBeCloseTo((Math.PI * (6 * 6 - 3.6 * 3.6)) / 100, 1);
  });
  test('200 motifs and 2 are laid out alike: everything adds up', () => {
    for (const count of [2, 200]) {
      const stars = areaSchema.parse({
        kind: 'scatter',
        id: 'stars',
        name: 'Stars',
        outline: { shape: 'star' },
        width: 6,
        count,
        seed: 1,
        clearance: 1,
        turn: 'any',
        lower: { by: 'foot', mm: 0 },
        upper: { by: 'rim', mm: 0 },
      });
      expect(layoutOf(plump, [stars]).areas[0].motifs).toEqual({ wanted: count, placed: count });
    }
  });
});

describe('plain outlines', () => {
  test.each(plainOutlines)('a %s is sound, one wide, and its lines don’t cross', (shape) => {
    const outline = { shape };
    const polygons = shapeOf(outline);
    const xs = polygons.flat(2).map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(1, 2);
    expect(
      outlineSchema.safeParse({ shape: 'own', name: shape, polygons }).error?.issues.map(({ message }) => message),
    ).toBeUndefined();
    expect(reachOf(outline)).toBeLessThan(1.1);
  });
});

describe('an outline of one’s own', () => {
  const svg = (inner: string, more = '') => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100"${more}>${inner}</svg>`;
  test('is reduced to its closed lines, transforms applied, y upwards', () => {
    const read = outlineFromSvg(svg('<g transform="translate(10 5) scale(2)"><path d="M0 0h20v10h-20z"/></g>'), 'Plate.svg');
    expect(read).toMatchObject({ ok: true, leftOut: [], outline: { name: 'Plate' } });
    if (!read.ok) throw new Error(read.sentence);
    const points = read.outline.polygons.flat(2);
    expect([Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))]).toEqual([-0.25, 0.25]);
    expect(outlineSchema.safeParse(read.outline).success).toBe(true);
  });
  test('a hole stays a hole; curves and circles become points', () => {
    const read = outlineFromSvg(svg('<circle cx="50" cy="50" r="40"/><ellipse cx="50" cy="50" rx="10" ry="12"/>'), 'o.svg');
    expect(read.ok && read.outline.polygons.map((polygon) => polygon.length)).toEqual([2]);
  });
  test('scripts, text, pictures and links are left out, and named; nothing of them is kept', () => {
    const read = outlineFromSvg(
      svg(
        '<script>fetch("http://example.org")</script><text>Hi</text><image href="http://example.org/a.png"/><use href="http://example.org/b.svg#c"/><path onclick="alert(1)" d="M0 0L50 0L25 40Z"/>',
        ' onload="alert(1)"',
      ),
      'bad.svg',
    );
    expect(read).toMatchObject({ ok: true, leftOut: ['script', 'text', 'image', 'use'] });
    expect(JSON.stringify(read)).not.toMatch(/http|alert|fetch/);
  });
  test.each<[string, string, RegExp]>([
    [
      'only text and a link',
      svg('<text>Hi</text><a href="http://example.org"><text>there</text></a>'),
      /no closed outline.*text \(2\)/,
    ],
    ['lines that cross', svg('<path d="M0 0L40 40L40 0L0 40Z"/>'), /cross/],
    ['an entity', '<!DOCTYPE svg [<!ENTITY a "b">]><svg><path d="M0 0L5 0L5 5Z"/></svg>', /declares entities/],
    ['no SVG', 'equal parts, more or less', /no SVG/],
    ['a damaged one', '<svg><path d="M0 0L5 0L5 5Z"></svg>', /damaged/],
    ['a million points', svg(`<path d="M0 0${'L1 1'.repeat(1_000_000)}Z"/>`), /over a megabyte/],
    [
      'too many points',
      svg(`<path d="M0 0${Array.from({ length: 4000 }, (_, i) => `L${i} ${i % 2}`).join('')}L4000 90L0 90Z"/>`),
      /points; 1500 are the most/,
    ],
    ['a needle', svg('<rect width="2" height="90"/>'), /six times as tall/],
    ['too deep', svg(`${'<g>'.repeat(60)}<rect width="9" height="9"/>${'</g>'.repeat(60)}`), /40 deep/],
    ['a path of nonsense', svg('<path d="M0 0 banana"/>'), /no closed outline/],
  ])('%s gets a sentence', (_, text, words) => {
    const read = outlineFromSvg(text, 'x.svg');
    expect(read.ok ? 'taken' : read.sentence).toMatch(words);
  });
  test('the document itself refuses one that crosses, is open or has too many points', () => {
    const own = (ring: number[][]) =>
      outlineSchema.safeParse({ shape: 'own', name: 'x', polygons: [[ring]] }).error?.issues[0].message;
    expect(
      own([
        [0, 0],
        [1, 1],
        [1, 0],
        [0, 1],
        [0, 0],
      ]),
    ).toMatch(/cross/);
    expect(
      own([
        [0, 0],
        [1, 1],
        [1, 0],
        [0, 0.5],
      ]),
    ).toMatch(/doesn’t close/);
    expect(own(Array.from({ length: 1600 }, () => [0, 0]))).toMatch(/1500 are the most/);
    expect(
      own([
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 0],
      ]),
    ).toBeUndefined();
  });
});

test.each([
  ['nested without end', `<svg>${'<g>'.repeat(5000)}<path d="M0 0L10 0L10 10Z"/>${'</g>'.repeat(5000)}</svg>`],
  ['with a tag of JavaScript’s', '<svg><constructor/><path d="M0 0L10 0L10 10Z"/></svg>'],
  ['with another', '<svg><__proto__/><path d="M0 0L10 0L10 10Z"/></svg>'],
  ['with an attribute of JavaScript’s', '<svg><path prototype="x" __proto__="y" constructor="z" d="M0 0L10 0L10 10Z"/></svg>'],
  ['so flat that nothing is inside', '<svg><path d="M0 0L100 0L100 0.0001L0 0.0001Z"/></svg>'],
  ['of one line there and back', '<svg><path d="M0 0L100 0L50 0Z"/></svg>'],
])('an SVG %s is refused in words, or read as a document takes it', (_, svg) => {
  const read = outlineFromSvg(svg, 'x.svg');
  if (read.ok) expect(outlineSchema.safeParse(read.outline).success).toBe(true);
  else expect(read.sentence).toMatch(/\. [A-Z].*\.$/);
});
