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
  type Units,
} from '../src';

const imperial: Units = { length: 'inch', amount: 'teaspoon', temperature: 'fahrenheit' };
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
        expect(Math.abs((readMeasure(lengthText(mm, metricUnits), 'length', metricUnits) ?? NaN) - mm)).toBeLessThanOrEqual(
          0.0501,
        );
        expect(Math.abs((readMeasure(lengthText(mm, imperial), 'length', imperial) ?? NaN) - mm)).toBeLessThanOrEqual(0.128);
      }),
    );
  });
  test('an amount in grams reads back as the ml it was', () => {
    const grams: Units = { ...metricUnits, amount: 'gram' };
    expect(amountText(10, grams, 0.414)).toBe('4.14 g');
    expect(readMeasure('4.14 g', 'ml', grams, 0.414)).toBeCloseTo(10, 9);
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
  test('percent becomes a share', () => expect(readMeasure('35 %', 'percent', metricUnits)).toBe(0.35));
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
