import {
  areaSchema,
  circumferenceAt,
  cupSchema,
  decalFit,
  designSchema,
  flattenBand,
  planOf,
  radiusOf,
  startingCup,
  stripFit,
  typicalCups,
  wallLength,
  type Cup,
  type Design,
} from '../src';
import { outlineFilm, templatePages, templatesOf, templateSvg, usualWishes, type Template } from '../src/templates';
import { designWith, workshop } from './workshop';

const taper = cupSchema.parse({
  ...startingCup,
  seam: 'weld line',
  stations: [
    { height: 0, circumference: 223.7 },
    { height: 201.3, circumference: 291.9 },
  ],
});
const foot = (mm: number) => ({ by: 'foot', mm });
const teethBand = {
  kind: 'band',
  id: 'teeth',
  name: 'Teeth',
  lower: { level: foot(0) },
  upper: { level: foot(90), teeth: { line: 'zigzag', count: 11, depth: 24, shift: 5 } },
};
const designOn = (cup: Cup, areas: readonly object[], coats: readonly object[] = []): Design =>
  designSchema.parse({ ...designWith([]), cup, areas, blends: [], coats });
const offersOf = (design: Design) => templatesOf(design, planOf(design, workshop));
function draw(design: Design, id: string, wishes = {}): Template {
  const offer = offersOf(design).find((one) => one.id === id);
  if (!offer) throw new Error(`no ${id}`);
  return offer.draw({ ...usualWishes, ...wishes });
}
/** Every path of an SVG as points, read back from its text. */
const paths = (svg: string) =>
  [...svg.matchAll(/<path d="M([^"]+?)(Z?)"/g)].map(([, drawn, closed]) => ({
    closed: closed === 'Z',
    points: drawn.split('L').map((pair) => pair.split(' ').map(Number) as [number, number]),
  }));

describe('a zigzag of whole teeth', () => {
  const svg = templateSvg(draw(designOn(taper, [teethBand]), 'upper teeth', { overlap: 0 }));
  test('is one closed path in mm, with a viewBox in mm', () => {
    expect(paths(svg)).toHaveLength(1);
    expect(paths(svg)[0].closed).toBe(true);
    const [, width, height] = /viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg) ?? [];
    expect(svg).toContain(`width="${width}mm" height="${height}mm"`);
  });
  test('cut out and rolled up, meets itself at the seam within 0.5 mm', () => {
    const { points } = paths(svg)[0];
    // Rolled round the cone the paper turns about the fan's centre: found from the three points of its plain edge.
    const flat = flattenBand(taper.stations, 0, 201.3);
    if (flat.innerRadius === null) throw new Error('a taper');
    const plain = points.slice(-200, -8);
    const centre = circleThrough(plain[0], plain[Math.floor(plain.length / 2)], plain[plain.length - 1]);
    const polar = points.map(([x, y]) => ({
      radius: Math.hypot(x - centre[0], y - centre[1]),
      turn: Math.atan2(x - centre[0], centre[1] - y),
    }));
    const turns = polar.map(({ turn }) => turn);
    const [start, end] = [Math.min(...turns), Math.max(...turns)];
    const whole = (flat.angle * Math.PI) / 180;
    const radiusAtEnd = (at: number) =>
      Math.max(...polar.filter(({ turn }) => Math.abs(turn - at) < 1e-4).map(({ radius }) => radius));
    // Both ends lie at one place of the cup: as far round as the cone is, and at the same radius.
    const far = Math.max(...polar.map(({ radius }) => radius));
    expect(Math.abs(end - start - whole) * far).toBeLessThan(0.5);
    expect(Math.abs(radiusAtEnd(end) - radiusAtEnd(start))).toBeLessThan(0.5);
  });
  test('has as many tips as teeth, each as deep as asked, along the wall', () => {
    const { points } = paths(svg)[0];
    expect(points.filter((_, i) => i > 0 && i < points.length - 1 && isTip(points, i))).toHaveLength(11);
    const along = wallLength(taper.stations, 78, 102);
    expect(along).toBeGreaterThan(24);
    expect(draw(designOn(taper, [teethBand]), 'upper teeth').says[0]).toMatch(/11 whole teeth/);
  });
});

function circleThrough(a: [number, number], b: [number, number], c: [number, number]): [number, number] {
  const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]));
  const square = ([x, y]: [number, number]) => x * x + y * y;
  return [
    (square(a) * (b[1] - c[1]) + square(b) * (c[1] - a[1]) + square(c) * (a[1] - b[1])) / d,
    (square(a) * (c[0] - b[0]) + square(b) * (a[0] - c[0]) + square(c) * (b[0] - a[0])) / d,
  ];
}

/** A corner that points down on paper: the edge's guide lies above the band's upper edge. */
function isTip(points: readonly [number, number][], i: number): boolean {
  const [before, here, after] = [points[i - 1], points[i], points[i + 1]];
  const bend = (here[0] - before[0]) * (after[1] - here[1]) - (here[1] - before[1]) * (after[0] - here[0]);
  const sharp =
    Math.abs(bend) / (Math.hypot(here[0] - before[0], here[1] - before[1]) * Math.hypot(after[0] - here[0], after[1] - here[1]));
  return sharp > 0.5 && here[1] < before[1] && here[1] < after[1];
}

describe('offers', () => {
  test('say which wishes their drawing hangs on: only strips can be straight, only films cover a gap', () => {
    const design = designOn(taper, [teethBand]);
    const wants = offersOf(design).map(({ id, wants }) => [id.split(' ')[0], wants]);
    expect(Object.fromEntries(wants)).toEqual({
      wrap: [],
      area: [],
      strip: ['overlap', 'straight'],
      upper: ['overlap'],
      film: ['gap'],
      base: [],
    });
  });
});

describe('strips', () => {
  test('on a taper come curved; insisting on straight warns of the pucker', () => {
    const design = designOn(taper, [{ ...teethBand, upper: { level: foot(60) } }]);
    const curved = draw(design, 'strip teeth');
    expect(curved.warns).toMatch(/cut the strip curved/);
    const straight = draw(design, 'strip teeth', { straight: true });
    expect(straight.warns).toMatch(/20\.3 mm longer where the wall is widest .* puckers/);
    expect(straight.sheets[0].width).toBeCloseTo(223.7 + 20.3 + 5 + 6, 1);
  });
  test('on a straight cup are plain and as long as the tape and the overlap', () => {
    const cup = cupSchema.parse(typicalCups[0]);
    const [sheet] = draw(designOn(cup, [{ ...teethBand, upper: { level: foot(60) } }]), 'strip teeth', { overlap: 8 }).sheets;
    expect(draw(designOn(cup, [teethBand]), 'strip teeth', { straight: true }).warns).toBeNull();
    expect(sheet.width - 6).toBeCloseTo(214 + 8, 6);
    expect(sheet.height - 6).toBeCloseTo(60, 6);
    expect(stripFit(cup.stations, 0, 60)).toMatchObject({ puckers: false, cutLength: 219 });
  });
  test('over a bend come in parts with the same letters at the joint', () => {
    const cup = cupSchema.parse(typicalCups.find(({ shape }) => shape === 'two-part'));
    const { sheets } = draw(designOn(cup, [{ ...teethBand, upper: { level: foot(120) } }]), 'strip teeth');
    expect(sheets).toHaveLength(3);
    expect(sheets[0].words.map(({ text }) => text)).toEqual(['1A', '1B', '1C', '1D']);
    expect(sheets[1].words.map(({ text }) => text)).toEqual(['1A', '1B', '1C', '1D', '2A', '2B', '2C', '2D']);
  });
});

describe('other templates', () => {
  const sections = [0, 1, 2].map((i) => ({
    kind: 'wedge',
    id: `s${i}`,
    name: `Section ${i}`,
    from: 120 * i,
    width: 120,
    lean: 40,
    lower: foot(0),
    upper: { by: 'rim', mm: 0 },
  }));
  test('marks have a tick for every line between sections, turned at the rim by the lean', () => {
    const [atFoot, atRim] = draw(designOn(taper, sections), 'marks').sheets;
    expect(atFoot.lines.filter(({ role }) => role === 'mark')).toHaveLength(3);
    expect(atRim.lines.filter(({ role }) => role === 'mark')).toHaveLength(3);
    expect(atRim.width).toBeGreaterThan(atFoot.width);
  });
  test('the base disc is the foot’s, or the recess’s, with four folds and a seam mark', () => {
    const [disc] = draw(designOn(taper, []), 'base').sheets;
    expect(disc.width - 6).toBeCloseTo(2 * radiusOf(223.7), 2);
    expect(disc.lines.filter(({ role }) => role === 'fold')).toHaveLength(4);
    expect(draw(designOn(taper, []), 'base').says.join(' ')).toMatch(/weld line/);
    const recessed = cupSchema.parse({ ...taper, recess: { depth: 3, diameter: 58 } });
    expect(draw(designOn(recessed, []), 'base').sheets[0].width - 6).toBeCloseTo(58, 3);
    expect(offersOf(designOn(cupSchema.parse(typicalCups.find(({ shape }) => shape === 'sleeve')), []))).toEqual([]);
  });
  test('an outline film reaches the gap and half a mm beyond, all round', () => {
    const square = [
      {
        role: 'cut' as const,
        closed: true,
        points: [
          [0, 0],
          [40, 0],
          [40, 40],
          [0, 40],
          [0, 0],
        ] as const,
      },
    ];
    const [outer, inner] = outlineFilm(square, 2);
    const span = (line: typeof outer) => Math.max(...line.points.map(([x]) => x)) - Math.min(...line.points.map(([x]) => x));
    expect(span(outer)).toBeCloseTo(40 + 2 * 2.5, 2);
    expect(span(inner)).toBeCloseTo(40 - 2 * 0.5, 2);
    expect(draw(designOn(taper, [teethBand]), 'film teeth', { gap: 2 }).says[0]).toMatch(/2\.5 mm out/);
  });
  test('a motif over the seam is whole, on the wrap and alone', () => {
    const star = { kind: 'window', id: 'star', name: 'Star', outline: { shape: 'star' }, angle: 0, level: foot(80), width: 36 };
    const [alone] = draw(designOn(taper, [star]), 'area star').sheets;
    expect(alone.width - 6).toBeCloseTo(36, 6);
    expect(alone.lines).toHaveLength(1);
    const spots = {
      kind: 'scatter',
      id: 'spots',
      name: 'Spots',
      outline: { shape: 'spot' },
      width: 20,
      count: 30,
      seed: 4,
      clearance: 2,
      turn: 'upright',
      lower: foot(0),
      upper: foot(190),
    };
    const [one, wrap] = draw(designOn(taper, [spots]), 'area spots').sheets;
    expect(one.lines).toHaveLength(1);
    expect(wrap.lines).toHaveLength(30);
  });
  test('a decal says where its middle goes; over a bend it is slit', () => {
    const decal = { kind: 'decal', id: 'd', name: 'Mark', width: 70, height: 50, centre: 90, angle: 90 };
    const flat = draw(designOn(taper, [], [decal]), 'decal d');
    const tape = circumferenceAt(taper.stations, 90);
    expect(flat.says[0]).toContain(`${((360 * 70) / tape).toFixed(0)}°`);
    expect(flat.says[0]).toContain(`${(tape / 4).toFixed(1)} mm from the seam`);
    const plump = typicalCups.find(({ shape }) => shape === 'curved') ?? startingCup;
    const fit = decalFit(plump.stations, { ...decal, centre: 60, angle: 180 });
    expect(fit.slits).toBeGreaterThan(0);
    expect(fit.says.join(' ')).toMatch(/puckers/);
    const lean = decalFit(taper.stations, { ...decal, centre: 90 });
    expect(lean).toMatchObject({ difference: 0, slits: 0 });
    expect(lean.says[0]).toBe('It lies flat.');
    // On the fan its straight edge of 70 mm leaves the arc through its middle by R − √(R² − 35²).
    const fan = flattenBand(taper.stations, 0, 90);
    expect(lean.bow).toBeCloseTo((fan.outerRadius ?? 0) - Math.sqrt((fan.outerRadius ?? 0) ** 2 - 35 ** 2), 2);
    expect(decalFit(taper.stations, { ...decal, centre: 5 }).says[0]).toMatch(/below the foot/);
    expect(decalFit(taper.stations, { ...decal, width: 400 }).says[0]).toMatch(/wider than the cup/);
  });
});

describe('on paper', () => {
  const whole = { ...teethBand, id: 'whole', upper: { level: { by: 'rim', mm: 0 } } };
  const wrap = draw(designOn(taper, [whole, teethBand]), 'wrap');
  test('a large sheet is tiled, neighbours share crosses, and every page has a 50 mm bar', () => {
    const pages = templatePages(wrap, 'A4');
    expect(pages.length).toBeGreaterThan(1);
    for (const { svg, width, height } of pages) {
      expect([width, height].sort((a, b) => a - b)).toEqual([210, 297]);
      const [, from, to] = /<path d="M9 ([\d.]+)L59 \1/.exec(svg) ? [0, 9, 59] : [0, 0, 0];
      expect(to - from).toBe(50);
      expect(svg).toContain(`viewBox="0 0 ${width} ${height}"`);
    }
    const crosses = ({ svg }: { svg: string }) => [...svg.matchAll(/stroke="#c2470f"/g)].length;
    expect(crosses(pages[0])).toBeGreaterThan(1);
    expect(crosses(pages[0])).toBe(crosses(pages[1]));
  });
  test('a small one takes one page, and Letter is Letter', () => {
    expect(templatePages(draw(designOn(taper, []), 'base'), 'Letter').map(({ width }) => width)).toEqual([215.9]);
  });
  test('a name with signs in it stays a name', () => {
    const odd = designOn(taper, [areaSchema.parse({ ...teethBand, name: '<b>&"' })]);
    const svg = templateSvg(draw(odd, 'area teeth'));
    expect(svg).toContain('&lt;b&gt;&amp;&quot;');
    expect(svg).not.toContain('<b>');
  });
});
