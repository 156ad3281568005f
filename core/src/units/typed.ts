import { celsiusOf, mlOfTeaspoons, mmOfInches, type Units } from './units';

/** What a typed figure stands for; `plain` has no unit. */
export type Measure = 'length' | 'ml' | 'temperature' | 'percent' | 'plain';

/**
 * A figure as people type it: decimal comma or point, spaces, a unit behind it.
 * @returns null when there is no single number in it
 */
export function readFigure(text: string): number | null {
  const found = /^\s*([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*[a-zA-Z°%²"]*\s*$/.exec(text);
  return found ? Number(found[1].replace(',', '.')) : null;
}

/**
 * A typed figure in the core's own unit (mm, ml, °C, share of 1 for percent).
 * @param gramsPerMl for makers who weigh
 */
export function readMeasure(text: string, measure: Measure, units: Units, gramsPerMl = 1): number | null {
  const figure = readFigure(text);
  if (figure === null) return null;
  switch (measure) {
    case 'length':
      return units.length === 'inch' ? mmOfInches(figure) : figure;
    case 'ml':
      return units.amount === 'teaspoon' ? mlOfTeaspoons(figure) : units.amount === 'gram' ? figure / gramsPerMl : figure;
    case 'temperature':
      return units.temperature === 'fahrenheit' ? celsiusOf(figure) : figure;
    case 'percent':
      return figure / 100;
    case 'plain':
      return figure;
  }
}
