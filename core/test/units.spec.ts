import fc from 'fast-check';
import {
  aboutText,
  amountText,
  areaText,
  celsiusOf,
  countText,
  durationText,
  fahrenheitOf,
  inchesOf,
  lengthText,
  metricUnits,
  mlOfTeaspoons,
  mmOfInches,
  percentText,
  readFigure,
  readMeasure,
  roundToStep,
  roundUpToStep,
  spanText,
  teaspoonsOf,
  temperatureText,
  tidy,
  type Measure,
  type Units,
} from '../src';

const imperial: Units = { length: 'inch', amount: 'teaspoon', temperature: 'fahrenheit' };
const valueOf = (...typed: [string, Measure, Units?, Parameters<typeof readMeasure>[3]?]): number => {
  const [text, measure, units = metricUnits, more = {}] = typed;
  const read = readMeasure(text, measure, units, more);
  return read.ok ? read.value : NaN;
};
const length = fc.double({ min: 0, max: 2000, noNaN: true });

describe('round trips', () => {
  test('inches, spoons and degrees come back', () => {
    fc.assert(
      fc.property(length, (value) => {
        expect(mmOfInches(inchesOf(value))).toBeCloseTo(value, 9);
        expect(mlOfTeaspoons(teaspoonsOf(value))).toBeCloseTo(value, 9);
        expect(celsiusOf(fahrenheitOf(value))).toBeCloseTo(value, 9);
      }),
    );
  });
  test('what is shown can be typed back, to the last digit shown', () => {
    fc.assert(
      fc.property(length, (mm) => {
        const fractions: Units = { ...imperial, length: 'inch fraction' };
        for (const [units, apart] of [
          [metricUnits, 0.0501],
          [imperial, 0.128],
          [fractions, 0.398],
        ] as const)
          expect(Math.abs(valueOf(lengthText(mm, units), 'length', units) - mm)).toBeLessThanOrEqual(apart);
      }),
    );
  });
  test('an amount in grams reads back as the ml it was', () => {
    const grams: Units = { ...metricUnits, amount: 'gram' };
    expect(amountText(10, grams, 0.414)).toBe('4.14 g');
    expect(valueOf('4.14 g', 'ml', grams, { gramsPerMl: 0.414 })).toBeCloseTo(10, 9);
  });
});

describe('rounding', () => {
  test('stays on the step and leaves no binary tail', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10000 }), fc.constantFrom(0.1, 0.25, 0.5, 1), (count, step) => {
        const value = tidy(count * step);
        expect(roundToStep(value, step)).toBe(value);
        expect(roundUpToStep(value, step)).toBe(value);
        expect(roundUpToStep(value + step / 10, step)).toBe(tidy(value + step));
      }),
    );
    expect(roundToStep(0.1 + 0.2, 0.1)).toBe(0.3);
  });
});

describe('typed figures', () => {
  test.each([
    ['62', 62],
    [' 62 mm', 62],
    ['4,5', 4.5],
    ['.5', 0.5],
    ['-3', -3],
    ['12"', 12],
    ['21 °C', 21],
  ])('%p is %p', (text, value) => expect(readFigure(text)).toBe(value));
  test.each(['', 'about 30', '1.2.3', '12 13', '1e9x9', 'NaN', '=SUM(A1)'])('%p is no figure', (text) =>
    expect(readFigure(text)).toBeNull(),
  );
  test('percent becomes a share', () => expect(valueOf('35 %', 'percent')).toBe(0.35));
  test.each<[string, Measure, Units, Parameters<typeof readMeasure>[3], number]>([
    ['10 cm', 'length', metricUnits, {}, 100],
    ['2 in', 'length', metricUnits, {}, 50.8],
    ['90 mm', 'length', imperial, {}, 90],
    ['9 3/8', 'length', imperial, {}, 238.125],
    ['9⅜"', 'length', metricUnits, {}, 238.125],
    ['9-3/8 in', 'length', metricUnits, {}, 238.125],
    ['3/4', 'length', imperial, {}, 19.05],
    ['1 tsp', 'ml', metricUnits, {}, 5],
    ['2 ml', 'ml', imperial, {}, 2],
    ['5 g', 'ml', metricUnits, { gramsPerMl: 0.5 }, 10],
    ['5', 'ml', { ...metricUnits, amount: 'gram' }, { gramsPerMl: 0.5 }, 10],
    ['70 °F', 'temperature', metricUnits, {}, 21.111],
    ['21 C', 'temperature', imperial, {}, 21],
    ['21°', 'temperature', metricUnits, {}, 21],
    ['0,05 mm', 'plain', metricUnits, { unitName: 'µm' }, 50],
    ['2 h', 'plain', metricUnits, { unitName: 'min' }, 120],
    ['1 tbsp', 'plain', metricUnits, { unitName: 'ml' }, 15],
    ['3 sheets', 'plain', metricUnits, { unitName: 'sheets' }, 3],
  ])('%p as %s is read with its unit', (text, measure, units, more, value) =>
    expect(valueOf(text, measure, units, more)).toBeCloseTo(value, 3),
  );
  test.each<[string, Measure, string]>([
    ['5 g', 'ml', 'ml, teaspoons or grams'],
    ['5 ml', 'length', 'mm, cm or inches'],
    ['12 parsecs', 'length', 'no unit that is known'],
    ['5 oz', 'ml', 'no unit that is known'],
    ['20 mm', 'temperature', '°C or °F'],
    ['3 ml', 'plain', 'a plain figure'],
    ['1.5 3/8', 'length', 'Type a number'],
    ['3/0', 'length', 'Type a number'],
  ])('%p as %s is refused in words', (text, measure, sentence) =>
    expect(readMeasure(text, measure, metricUnits)).toEqual({ ok: false, sentence: expect.stringContaining(sentence) }),
  );
});

describe('wording', () => {
  test('lengths, spans and areas', () => {
    expect(lengthText(62, metricUnits)).toBe('62 mm');
    expect(lengthText(243.17, metricUnits)).toBe('243.2 mm');
    expect(lengthText(25.4, imperial)).toBe('1.00 in');
    expect(spanText(0, 62, metricUnits)).toBe('0–62 mm');
    expect(areaText(531.224, metricUnits)).toBe('531.2 cm²');
    expect(areaText(6.4516, imperial)).toBe('1.0 in²');
    expect(lengthText(-0.001, metricUnits)).toBe('0 mm');
  });
  test('amounts, degrees, shares and counts', () => {
    expect(amountText(12.5, imperial, 1)).toBe('2.50 tsp');
    expect([1.25, 0.125, 4, 12.3456, 1 / 3].map((ml) => amountText(ml, metricUnits, 1))).toEqual([
      '1.25 ml',
      '0.125 ml',
      '4.0 ml',
      '12.3 ml',
      '0.3 ml',
    ]);
    expect(amountText(1.25, imperial, 1)).toBe('0.25 tsp');
    const fractions: Units = { ...imperial, length: 'inch fraction' };
    expect([238.125, 25.4, 19.05, 0.2, -19.05, 304.4].map((mm) => lengthText(mm, fractions))).toEqual([
      '9 3/8 in',
      '1 in',
      '3/4 in',
      '0 in',
      '−3/4 in',
      '11 31/32 in',
    ]);
    expect(temperatureText(21, imperial)).toBe('70 °F');
    expect(percentText(0.0476, 1)).toBe('4.8 %');
    expect([aboutText(43301), aboutText(202073), aboutText(4.6e6), aboutText(89)]).toEqual([
      '43,000',
      '200,000',
      '4,600,000',
      '89',
    ]);
    expect(countText(1, 'mix', 'mixes')).toBe('1 mix');
    expect(countText(5, 'mix', 'mixes')).toBe('5 mixes');
  });
  test.each([
    [25, '25 min'],
    [120, '2 h'],
    [130, '2 h 10'],
    [4320, '3 days'],
    [6903, '4 days 19 h'],
    [2879, '47 h 59'],
    [4319.6, '3 days'],
  ])('%p minutes are %p', (minutes, text) => expect(durationText(minutes)).toBe(text));
});
