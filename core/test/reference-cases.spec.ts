import cases from './data/reference-cases.json';
import {
  baseArea,
  circumferenceAt,
  coatsToBury,
  coverage,
  cureFactor,
  deltaE2000,
  dyeFilm,
  evenFade,
  evenThinning,
  facePerMl,
  faceShares,
  flakeRain,
  flakesPerMl,
  flattenBand,
  glitterFill,
  glossed,
  gramsPerMl,
  hexOf,
  keptDepth,
  labOf,
  layOver,
  mlForCoverage,
  pearlFilm,
  pigmentFilm,
  potLifeAt,
  runLimit,
  viscosityAt,
  reflectanceOf,
  resinMix,
  wallArea,
  wallLength,
  type Glitter,
  type Lab,
  type Part,
} from '../src';
import { ringOrder } from '../src/ring';

const glitters = cases.glitters as Record<string, Glitter & { facePerMl: number; flakesPerMl: number; weightOf10ml: number }>;
const partsOf = (rows: (string | number)[][]): Part[] => rows.map(([name, ml]) => ({ glitter: glitters[name], ml: Number(ml) }));
const within = (value: number, wanted: number, share: number) =>
  expect(Math.abs(value - wanted)).toBeLessThanOrEqual(Math.abs(wanted) * share + 1e-9);
const sameColour = (hex: string, wanted: string) =>
  expect(deltaE2000(labOf(reflectanceOf(hex)), labOf(reflectanceOf(wanted)))).toBeLessThan(0.3);

test.each(cases.glossed)('$hex through gloss', ({ hex, glossedHex }) =>
  sameColour(hexOf(glossed(reflectanceOf(hex))), glossedHex),
);

describe('surface', () => {
  const { geometry } = cases;
  test('wall, base, part of the wall and its length', () => {
    within(wallArea(geometry.stations), geometry.wallArea, 0.0005);
    within(baseArea(geometry.stations), geometry.baseArea, 0.0005);
    within(wallArea(geometry.stations, 60, 150), geometry.wallArea_60_150, 0.0005);
    within(wallArea(geometry.stations, 60, 150) / 4, geometry.wedge_90deg_60_150, 0.0005);
    within(wallLength(geometry.stations, 60, 150), geometry.wallLength_60_150, 0.0005);
    within(circumferenceAt(geometry.stations, 100), geometry.circumferenceAt_100, 0.0005);
  });
  test.each(geometry.flattenBand)('flat pattern from $from to $to', (band) => {
    const flat = flattenBand(band.stations, band.from, band.to);
    within(flat.length, band.length, 0.0005);
    within(flat.angle, band.angle, 0.0005);
    if (band.innerRadius === null) expect(flat).toMatchObject({ innerRadius: null, outerRadius: null, width: band.width });
    else {
      within(flat.innerRadius ?? NaN, band.innerRadius ?? NaN, 0.0005);
      within(flat.outerRadius ?? NaN, band.outerRadius ?? NaN, 0.0005);
    }
  });
});

describe('glitter', () => {
  test.each(Object.entries(glitters))('%s: face, flakes and weight', (_, glitter) => {
    within(facePerMl(glitter), glitter.facePerMl, 0.001);
    within(flakesPerMl(glitter), glitter.flakesPerMl, 0.001);
    within(gramsPerMl(glitter) * 10, glitter.weightOf10ml, 0.001);
  });
  test.each(cases.coverage)('coverage at depth $depth', (row) => expect(coverage(row.depth)).toBeCloseTo(row.coverage, 4));
  test('ml for a coverage, face shares', () => {
    const { glitter, coverage: share, area, ml } = cases.mlForCoverage;
    within(mlForCoverage([{ glitter: glitters[glitter], ml: 1 }], share, area), ml, 0.001);
    faceShares(partsOf(cases.faceShares.parts)).forEach((value, i) => expect(value).toBeCloseTo(cases.faceShares.shares[i], 3));
  });
  test.each(cases.kept)('$poured poured on a hold of $hold', (row) =>
    expect(keptDepth(row.poured, row.hold)).toBeCloseTo(row.kept, 3),
  );
  test.each(cases.flakeRain)('rain $parts at $depth over $over', (row) => {
    sameColour(hexOf(flakeRain(partsOf(row.parts), row.depth, reflectanceOf(row.over))), row.hex);
  });
});

describe('films', () => {
  test.each(cases.dyeFilm)('dye $colour ×$amount over $over', (row) =>
    sameColour(hexOf(layOver(dyeFilm(row.colour, row.amount), reflectanceOf(row.over))), row.hex),
  );
  test.each(cases.pigmentFilm)('pigment $hiding ×$amount over $over', (row) =>
    sameColour(hexOf(layOver(pigmentFilm(row.colour, row.hiding, row.amount), reflectanceOf(row.over))), row.hex),
  );
  test.each(cases.pearlFilm)('pearl $strength ×$amount over $over', (row) =>
    sameColour(hexOf(layOver(pearlFilm(row.colour, row.strength, row.amount), reflectanceOf(row.over))), row.hex),
  );
  test.each(cases.deltaE2000)('difference $value', (row) =>
    expect(deltaE2000(row.a as unknown as Lab, row.b as unknown as Lab)).toBeCloseTo(row.value, 4),
  );
});

describe('fades and rings', () => {
  test.each(cases.evenFade)('$from to $to in $pots pots', (row) => {
    const fade = evenFade(glitters[row.from], glitters[row.to], row.pots, row.depth, reflectanceOf(row.over));
    fade.shares.forEach((share, i) => expect(Math.abs(share - row.sharesOfTo[i])).toBeLessThan(0.003));
    expect(fade.path).toBeCloseTo(row.path, 1);
    expect(fade.ends).toBeCloseTo(row.ends, 1);
  });
  test.each(cases.evenThinning)('thinning out in $steps', (row) => {
    const fade = evenThinning(partsOf(row.parts), row.fullDepth, row.steps, reflectanceOf(row.over));
    fade.depths.forEach((depth, i) => expect(Math.abs(depth - row.depths[i])).toBeLessThan(0.003));
    expect(fade.path).toBeCloseTo(row.path, 1);
    expect(fade.ends).toBeCloseTo(row.ends, 1);
  });
  test('order round the cup', () => {
    const ring = ringOrder(cases.ringOrder.colours);
    expect(ring.order).toEqual(cases.ringOrder.order);
    expect(ring.cost).toBeCloseTo(cases.ringOrder.cost, 2);
  });
});

describe('resin', () => {
  test.each(cases.resinMix)('mix at $ratio', (row) => {
    const mix = resinMix({ ...row, ratio: row.ratio as [number, number] });
    expect(mix).toMatchObject({ a: row.a, b: row.b, mix: row.mix });
    within(mix.film, row.film, 0.001);
    within(mix.need, row.need, 0.001);
  });
  test('fill and cure', () => {
    const { area, depth, flakeThickness, laid, ml } = cases.glitterFill;
    within(glitterFill(area, depth, flakeThickness, laid), ml, 0.001);
    cases.cureFactor.forEach((row) => expect(cureFactor(row.celsius)).toBeCloseTo(row.factor, 4));
  });
});

describe('resin on the cup', () => {
  test.each(cases.runLimit)('a film of at most $mm mm at $rpm turns a minute', ({ mm, ...film }) =>
    within(runLimit(film), mm, 0.0005),
  );
  test.each(cases.potLifeAt)('$ml ml at $celsius °C: $minutes min', ({ potLife, ml, celsius, minutes }) =>
    within(potLifeAt(potLife, ml, celsius), minutes, 0.0005),
  );
  test.each(cases.viscosityAt)('after $minutes min $value mPa·s', ({ viscosity, potLife, minutes, value }) =>
    within(viscosityAt(viscosity, potLife, minutes), value, 0.0005),
  );
  test.each(cases.coatsToBury)('$coats coats over flakes of $cut mm', ({ coats, ...bed }) =>
    expect(coatsToBury(bed)).toBe(coats),
  );
});
