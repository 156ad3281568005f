import { celsiusOf, ML_PER_TEASPOON, MM_PER_INCH, type Units } from './units';

/** What a typed figure stands for; `plain` has the unit its field names, or none. */
export type Measure = 'length' | 'ml' | 'temperature' | 'percent' | 'plain';

/** A typed figure in the core's own unit, or a sentence that says what can't be read and what can. */
export type ReadFigure = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly sentence: string };

type Kind = 'length' | 'volume' | 'weight' | 'time' | 'celsius' | 'fahrenheit' | 'share' | 'angle' | 'count' | 'months';

/** Units by their spellings: what they measure, and how many of mm, ml, g, min, °C, %, ° or pieces one is. */
const spellings: readonly (readonly [Kind, number, string])[] = [
  ['length', 1, 'mm'],
  ['length', 10, 'cm'],
  ['length', 1000, 'm'],
  ['length', 0.001, 'µm μm um micron microns'],
  ['length', MM_PER_INCH, 'in inch inches " ″ ”'],
  ['length', 12 * MM_PER_INCH, 'ft foot feet'],
  ['volume', 1, 'ml cc'],
  ['volume', 10, 'cl'],
  ['volume', 100, 'dl'],
  ['volume', 1000, 'l'],
  ['volume', ML_PER_TEASPOON, 'tsp teaspoon teaspoons'],
  ['volume', 3 * ML_PER_TEASPOON, 'tbsp tablespoon tablespoons'],
  // The US fluid ounce is 1/128 of a gallon of 231 cubic inches.
  ['volume', 29.5735295625, 'floz'],
  ['weight', 0.001, 'mg'],
  ['weight', 1, 'g gram grams'],
  ['weight', 1000, 'kg'],
  ['time', 1 / 60, 's sec second seconds'],
  ['time', 1, 'min minute minutes'],
  ['time', 60, 'h hour hours'],
  ['time', 1440, 'd day days'],
  ['celsius', 1, '°c c'],
  ['fahrenheit', 1, '°f f'],
  ['share', 1, '%'],
  ['angle', 1, '° deg degree degrees'],
  ['count', 1, 'sheet sheets'],
  ['months', 1, 'month months'],
  ['months', 12, 'year years'],
];

const units = new Map(
  spellings.flatMap(([kind, size, names]) => names.split(' ').map((name) => [name, { kind, size }] as const)),
);

interface Typed {
  readonly figure: number;
  readonly unit: { readonly kind: Kind; readonly size: number } | null;
  readonly said: string;
}

const whole = String.raw`(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?`;
const parts = new RegExp(String.raw`^([+-]?)(?:(\d+)[\s-]+)?(?:(\d+)\/(\d+)|(${whole}))\s*([^\d]*)$`, 'i');

/**
 * A figure as people type it: decimal comma or point, whole and fraction (`9 3/8`, `9⅜`), a unit behind it.
 * @returns null when there is no single number in it
 */
function readTyped(text: string): Typed | null {
  // NFKC makes ⅜ a 3⁄8; a space before it keeps the 9 of 9⅜ apart.
  const plain = text
    .replace(/([¼-¾⅐-⅞])/g, ' $1')
    .normalize('NFKC')
    .replace(/⁄/g, '/')
    .trim();
  const found = parts.exec(plain);
  if (!found) return null;
  const [, sign, before, over, under, decimal, said] = found;
  if (before !== undefined && decimal !== undefined) return null;
  const value = decimal === undefined ? Number(before ?? 0) + Number(over) / Number(under) : Number(decimal.replace(',', '.'));
  if (!Number.isFinite(value)) return null;
  const unit = units.get(said.toLowerCase().replace(/[\s.]/g, '')) ?? null;
  return { figure: sign === '-' ? -value : value, unit, said };
}

/**
 * A figure with or without a unit, whatever unit that is: for columns whose heading says it.
 * @returns null when there is no single number in it
 */
export function readFigure(text: string): number | null {
  const typed = readTyped(text);
  return typed && (typed.said === '' || typed.unit) ? typed.figure : null;
}

const unread = (sentence: string): ReadFigure => ({ ok: false, sentence });
const read = (value: number): ReadFigure => ({ ok: true, value });

/**
 * A typed figure in the core's own unit (mm, ml, °C, share of 1 for percent). A unit that is typed counts; where none is,
 * the workshop's does.
 * @param gramsPerMl what a ml weighs, for what can be typed by weight; null where it can't
 * @param unitName for `plain`: the unit its field names
 */
export function readMeasure(
  text: string,
  measure: Measure,
  workshop: Units,
  { gramsPerMl = null, unitName = '' }: { readonly gramsPerMl?: number | null; readonly unitName?: string } = {},
): ReadFigure {
  const typed = readTyped(text);
  if (!typed) return unread('Type a number, like 62, 4.5 or 9 3/8.');
  const { figure, unit, said } = typed;
  if (said !== '' && !unit)
    return unread(`“${said}” is no unit that is known here. Type ${wanted(measure, unitName)}, or the number alone.`);
  const no = unread(`“${said}” can’t be told as ${wanted(measure, unitName)}. Type that, or the number alone.`);
  switch (measure) {
    case 'length':
      if (!unit) return read(workshop.length === 'mm' ? figure : figure * MM_PER_INCH);
      return unit.kind === 'length' ? read(figure * unit.size) : no;
    case 'ml':
      return volume(typed, workshop, gramsPerMl) ?? no;
    case 'temperature':
      if (unit && unit.kind !== 'celsius' && unit.kind !== 'fahrenheit' && unit.kind !== 'angle') return no;
      return read((unit && unit.kind !== 'angle' ? unit.kind : workshop.temperature) === 'celsius' ? figure : celsiusOf(figure));
    case 'percent':
      return !unit || unit.kind === 'share' ? read(figure / 100) : no;
    case 'plain': {
      const own = units.get(unitName.toLowerCase());
      if (!unit || !own) return unit ? no : read(figure);
      return own.kind === unit.kind ? read((figure * unit.size) / own.size) : no;
    }
  }
}

function volume({ figure, unit }: Typed, workshop: Units, gramsPerMl: number | null): ReadFigure | null {
  if (unit?.kind === 'volume') return read(figure * unit.size);
  if (unit?.kind === 'weight') return gramsPerMl === null ? null : read((figure * unit.size) / gramsPerMl);
  if (!unit && workshop.amount === 'gram') return read(gramsPerMl === null ? figure : figure / gramsPerMl);
  return unit ? null : read(workshop.amount === 'teaspoon' ? figure * ML_PER_TEASPOON : figure);
}

/** What a field takes, as one says it. */
function wanted(measure: Measure, unitName: string): string {
  switch (measure) {
    case 'length':
      return 'mm, cm or inches';
    case 'ml':
      return 'ml, teaspoons or grams';
    case 'temperature':
      return '°C or °F';
    case 'percent':
      return 'percent';
    case 'plain':
      return unitName || 'a plain figure';
  }
}
