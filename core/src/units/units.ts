import * as z from 'zod';

/** What the maker reads. The core itself always works in mm, ml, g and °C. */
export const unitsSchema = z.strictObject({
  /** inches in hundredths, or in fractions as a tape has them */
  length: z.enum(['mm', 'inch', 'inch fraction']),
  amount: z.enum(['ml', 'teaspoon', 'gram']),
  temperature: z.enum(['celsius', 'fahrenheit']),
});
export type Units = z.infer<typeof unitsSchema>;

export const metricUnits: Units = { length: 'mm', amount: 'ml', temperature: 'celsius' };

/** The inch is exactly 25.4 mm (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4;

/** A level measuring teaspoon as sold for kitchens: 5 ml. */
export const ML_PER_TEASPOON = 5;

export const inchesOf = (mm: number): number => mm / MM_PER_INCH;
export const mmOfInches = (inches: number): number => inches * MM_PER_INCH;
export const teaspoonsOf = (ml: number): number => ml / ML_PER_TEASPOON;
export const mlOfTeaspoons = (spoons: number): number => spoons * ML_PER_TEASPOON;
export const fahrenheitOf = (celsius: number): number => (celsius * 9) / 5 + 32;
export const celsiusOf = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
