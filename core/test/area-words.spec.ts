import { areaSchema, areaWords, cardOf, cupSchema, layoutOf, metricUnits, planOf, startingCup, type Units } from '../src';
import { demoFile, workshop } from './workshop';

const cup = cupSchema.parse({ ...startingCup, seam: 'weld line' });
const foot = (mm: number) => ({ by: 'foot', mm });
const words = (area: object, units: Units = metricUnits) => {
  const one = areaSchema.parse({ id: 'x', name: 'X', ...area });
  return areaWords(one, layoutOf(cup, [one]).areas[0], units);
};

describe('how an area is laid, in words that make it again', () => {
  test.each<[object, string]>([
    [{ kind: 'band', lower: { level: foot(0) }, upper: { level: foot(62) } }, 'band, 0–62 mm up'],
    [
      {
        kind: 'band',
        lower: { level: foot(10), teeth: { line: 'zigzag', count: 1, depth: 4 } },
        upper: { level: foot(62), teeth: { line: 'scallop', count: 9, depth: 16 } },
      },
      'band, 8–70 mm up, lower edge 1 tooth 4 mm deep, upper edge 9 scallops 16 mm deep',
    ],
    [
      { kind: 'wedge', from: 30, width: 60, lean: -45, lower: foot(0), upper: foot(100) },
      'section, 60° from 30°, leaning -45°, 36.7–42.1 mm wide',
    ],
    [
      { kind: 'spiral', start: 20, pitch: 150, width: 5, hand: 'left', stripes: 2, lower: foot(0), upper: foot(100) },
      '2 stripes 5 mm wide, climbing 150 mm a turn to the left from 20°',
    ],
    [
      { kind: 'wave', level: foot(80), waves: 5, swing: 20, width: 12, shift: 36 },
      '5 waves swinging 20 mm, 12 mm wide, a crest at 36°',
    ],
    [
      { kind: 'window', outline: { shape: 'spot' }, angle: 90, level: foot(80), width: 20, turn: 15 },
      'spot, 20 mm wide, at 90°, turned 15°, 70–90 mm up',
    ],
    [
      {
        kind: 'scatter',
        outline: { shape: 'ring' },
        width: 6,
        count: 12,
        seed: 77,
        clearance: 2,
        turn: 'any',
        lower: foot(0),
        upper: foot(100),
      },
      '12 × ring, 6 mm wide, 2 mm apart, seed 77',
    ],
    [{ kind: 'base' }, 'the disc under the cup'],
  ])('%j', (area, said) => expect(words(area)).toBe(said));
  test('in inches too', () => {
    const inches: Units = { ...metricUnits, length: 'inch' };
    expect(words({ kind: 'wave', level: foot(80), waves: 3, swing: 25.4, width: 12.7, shift: 0 }, inches)).toBe(
      '3 waves swinging 1.00 in, 0.50 in wide, a crest at 0°',
    );
  });
});

test('the card gives each area as it is laid, and what marks the seam', () => {
  const { design, shelf, settings } = demoFile('thistle-weave');
  const marked = { ...design, cup: { ...design.cup, seam: 'weld line' } };
  const card = cardOf(planOf(marked, { shelf, settings }), marked, settings);
  expect(card.cup).toMatch(/seam: weld line$/);
  expect(card.areas.map(({ where }) => where)).toEqual([
    ...[0, 60, 120, 180, 240, 300].map((from) => `section, 60° from ${from}°, leaning 120°, 29.3–40.7 mm wide`),
    'band, 0–17.5 mm up, upper edge 18 teeth 7 mm deep',
    '2 stripes 5 mm wide, climbing 150 mm a turn to the left from 30°',
  ]);
  const masked = { ...marked, areas: marked.areas.map((area) => ({ ...area, masked: true })) };
  expect(cardOf(planOf(masked, { ...workshop, settings }), masked, settings).areas[0].where).toMatch(/, masked$/);
});
