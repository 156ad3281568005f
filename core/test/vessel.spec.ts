import fc from 'fast-check';
import {
  baseArea,
  circumferenceAt,
  cupSchema,
  enclosedVolume,
  faultsOf,
  flattenBand,
  measuringSteps,
  OffTheCupError,
  startingCup,
  stationsForShape,
  volumeCheck,
  wallArea,
  wallLength,
  withAnotherStation,
  withReading,
  type Cup,
  type Station,
} from '../src';

/** Walls of two to six stations, none leaning flatter than the cup's own check allows. */
const stations = fc
  .array(fc.record({ rise: fc.integer({ min: 20, max: 60 }), change: fc.integer({ min: -40, max: 60 }) }), {
    minLength: 1,
    maxLength: 5,
  })
  .map((steps) => {
    const list: Station[] = [{ height: 0, circumference: 260 }];
    for (const { rise, change } of steps) {
      const last = list[list.length - 1];
      list.push({ height: last.height + rise, circumference: Math.max(80, last.circumference + change) });
    }
    return list;
  });

const tapered: Cup = {
  ...startingCup,
  name: 'Cup',
  shape: 'tapered',
  material: 'steel',
  lipStrip: 10,
  volume: null,
  stations: [
    { height: 0, circumference: 220 },
    { height: 200, circumference: 290 },
  ],
};
const faults = (change: object) => {
  const read = cupSchema.safeParse({ ...tapered, ...change });
  return read.success ? [] : faultsOf(read.error);
};

describe('geometry', () => {
  test('parts of a wall add up to the wall', () => {
    fc.assert(
      fc.property(stations, fc.double({ min: 0, max: 1, noNaN: true }), (wall, share) => {
        const cut = wall[wall.length - 1].height * share;
        expect(wallArea(wall, 0, cut) + wallArea(wall, cut)).toBeCloseTo(wallArea(wall), 9);
        expect(wallLength(wall, 0, cut) + wallLength(wall, cut, 1e6)).toBeCloseTo(wallLength(wall, 0, 1e6), 9);
      }),
    );
  });
  test('a flattened piece has the area of the cone it came from', () => {
    fc.assert(
      fc.property(stations, (wall) => {
        const [low, high] = wall;
        const flat = flattenBand(wall, low.height, high.height);
        const mm2 =
          flat.width === null
            ? (Math.PI * (flat.outerRadius ** 2 - flat.innerRadius ** 2) * flat.angle) / 360
            : flat.width * flat.length;
        expect(mm2 / 100).toBeCloseTo(wallArea(wall, low.height, high.height), 6);
      }),
    );
  });
  test('a straight cup is a cylinder', () => {
    const wall = [
      { height: 0, circumference: 200 },
      { height: 100, circumference: 200 },
    ];
    expect(wallArea(wall)).toBeCloseTo(200, 9);
    expect(baseArea(wall)).toBeCloseTo(200 ** 2 / (4 * Math.PI) / 100, 9);
    expect(enclosedVolume(wall)).toBeCloseTo(((200 ** 2 / (4 * Math.PI)) * 100) / 1000, 9);
  });
  test('questions off the cup are refused by name', () => {
    expect(() => circumferenceAt(tapered.stations, 201)).toThrow(OffTheCupError);
    const bent = [
      { height: 0, circumference: 200 },
      { height: 50, circumference: 220 },
      { height: 90, circumference: 200 },
    ];
    expect(() => flattenBand(bent, 20, 70)).toThrow(OffTheCupError);
  });
});

describe('the measuring sheet', () => {
  const names = (...sheet: Parameters<typeof measuringSteps>) => measuringSteps(...sheet).map(({ name }) => name);
  test('names the readings', () => {
    expect(names('tapered', 2)).toEqual(['at the foot', 'at the rim']);
    expect(names('two-part', 3)).toEqual(['at the foot', 'at the bend', 'at the rim']);
    expect(names('curved', 4)).toEqual(['at the foot', 'between 1', 'between 2', 'at the rim']);
    expect(names('mug', 2)).toEqual(['at the foot', 'at the rim']);
    expect(names('stemmed', 6).slice(3)).toEqual(['at the belly 1', 'at the belly 2', 'at the rim']);
  });
  test('one more reading changes no cup until it is measured', () => {
    fc.assert(
      fc.property(
        stations.filter((wall) => wall.length < 6),
        (wall) => {
          const more = withAnotherStation(wall);
          expect(more).toHaveLength(wall.length + 1);
          expect(wallArea(more)).toBeGreaterThan(wallArea(wall) * 0.995);
          expect(wallArea(more)).toBeLessThan(wallArea(wall) * 1.005);
        },
      ),
    );
  });
  test('a shape keeps the readings it can use', () => {
    const plump = [
      { height: 0, circumference: 180 },
      { height: 60, circumference: 260 },
      { height: 120, circumference: 230 },
    ];
    expect(stationsForShape(plump, 'tapered')).toEqual([plump[0], plump[2]]);
    expect(stationsForShape(plump, 'curved')).toBe(plump);
    expect(stationsForShape(plump, 'straight').map((one) => one.circumference)).toEqual([230, 230]);
    expect(stationsForShape(tapered.stations, 'two-part')).toHaveLength(3);
  });
  test('a straight cup has one circumference, typed once', () => {
    const straight = {
      ...tapered,
      shape: 'straight' as const,
      stations: [
        { height: 0, circumference: 238 },
        { height: 178, circumference: 238 },
      ],
    };
    expect(withReading(straight, 1, { circumference: 240 }).stations.map((one) => one.circumference)).toEqual([240, 240]);
    expect(withReading(tapered, 1, { circumference: 295 }).stations.map((one) => one.circumference)).toEqual([220, 295]);
  });
});

test('the volume as sold is held against the readings', () => {
  expect(volumeCheck(1084, 890)).toMatch(/1084 ml for a cup sold as 890 ml/);
  expect(volumeCheck(420, 890)).toMatch(/less than the 890 ml.*must be off/);
  expect(volumeCheck(4200, 890)).toMatch(/far more/);
  expect(volumeCheck(1084, null)).toMatch(/Type what it holds/);
});

describe('what a cup can’t be', () => {
  const at = (height: number, circumference: number) => ({ height, circumference });
  test.each([
    [
      'heights that go backwards',
      { stations: [at(0, 220), at(200, 280), at(150, 290)] },
      'stations[2].height',
      /must be above 200/,
    ],
    ['a foot that isn’t at 0', { stations: [at(10, 220), at(200, 280)] }, 'stations[0].height', /height 0/],
    ['a diameter typed for a circumference', { stations: [at(0, 55), at(200, 280)] }, 'stations[0].circumference', /diameter/],
    ['a saucer', { stations: [at(0, 100), at(20, 700)] }, 'stations[1].circumference', /saucer/],
    ['a straight cup that isn’t', { shape: 'straight' }, 'stations[1].circumference', /differ by 70\.0 mm/],
    ['a two-part cup without a bend', { shape: 'two-part' }, 'stations', /third measurement/],
    ['one reading', { stations: [at(0, 220)] }, 'stations', /at least two/],
    ['seven readings', { stations: Array.from({ length: 7 }, (_, i) => at(i * 20, 220)) }, 'stations', /Six/],
    ['a huge height', { stations: [at(0, 220), at(9e9, 280)] }, 'stations[1].height', /600 mm/],
    ['a negative lip', { lipStrip: -1 }, 'lipStrip', /negative/],
    ['a lip as tall as the cup', { stations: [at(0, 220), at(40, 230)], lipStrip: 40 }, 'lipStrip', /as tall/],
    ['no number', { stations: [at(0, NaN), at(200, 280)] }, 'stations[0].circumference', /circumference in mm/],
    ['no name', { name: ' ' }, 'name', /name/],
  ])('%s', (_, change, path, sentence) => {
    expect(faults(change)).toEqual(expect.arrayContaining([{ path, sentence: expect.stringMatching(sentence) }]));
  });
});
