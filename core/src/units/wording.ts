import { fahrenheitOf, inchesOf, teaspoonsOf, type Units } from './units';

const fixed = (value: number, digits: number): string => {
  const text = value.toFixed(digits);
  return Number(text) === 0 ? (0).toFixed(digits) : text;
};

/** A length on the cup: whole millimetres (halves where they matter) or hundredths of an inch. */
export function lengthText(mm: number, units: Units): string {
  return `${lengthFigure(mm, units)} ${units.length === 'mm' ? 'mm' : 'in'}`;
}

export function lengthFigure(mm: number, units: Units): string {
  if (units.length === 'inch') return fixed(inchesOf(mm), 2);
  if (units.length === 'inch fraction') return fractionText(inchesOf(mm));
  return fixed(mm, Math.abs(mm - Math.round(mm)) < 0.05 ? 0 : 1);
}

/** Inches to the finest line of a tape, 1/32: `9 3/8`. */
function fractionText(inches: number): string {
  const lines = Math.round(Math.abs(inches) * 32);
  const [whole, rest] = [Math.floor(lines / 32), lines % 32];
  const sign = inches < 0 && lines > 0 ? '−' : '';
  if (rest === 0) return `${sign}${whole}`;
  const shared = [16, 8, 4, 2, 1].find((one) => rest % one === 0) ?? 1;
  return `${sign}${whole > 0 ? `${whole} ` : ''}${rest / shared}/${32 / shared}`;
}

/** From a to b, the unit said once. */
export function spanText(from: number, to: number, units: Units): string {
  return `${lengthFigure(from, units)}–${lengthText(to, units)}`;
}

/** A film's thickness; always mm, as makers and data sheets give it. */
export const thicknessText = (mm: number): string => `${fixed(mm, 2)} mm`;

/** A surface; square inches for makers who read inches. */
export function areaText(cm2: number, units: Units): string {
  return units.length === 'mm' ? `${fixed(cm2, 1)} cm²` : `${fixed(cm2 / 6.4516, 1)} in²`;
}

/**
 * An amount of something that is measured by volume.
 * @param ml volume
 * @param gramsPerMl what a ml of it weighs as poured, for those who weigh
 */
export function amountText(ml: number, units: Units, gramsPerMl: number): string {
  return `${amountFigure(ml, units, gramsPerMl)} ${amountUnit(units)}`;
}

export function amountFigure(ml: number, units: Units, gramsPerMl: number): string {
  switch (units.amount) {
    case 'ml':
      return exactly(ml, 1);
    case 'teaspoon':
      return exactly(teaspoonsOf(ml), 2);
    case 'gram':
      return fixed(ml * gramsPerMl, ml * gramsPerMl < 10 ? 2 : 1);
  }
}

/** With as many digits as what is measured by a spoon has, so that a quarter ml doesn't read as 0.3. */
function exactly(value: number, least: number): string {
  const digits = [least, least + 1, least + 2].find((one) => Math.abs(value * 10 ** one - Math.round(value * 10 ** one)) < 1e-6);
  return fixed(value, digits ?? least);
}

export const amountUnit = (units: Units): string => ({ ml: 'ml', teaspoon: 'tsp', gram: 'g' })[units.amount];

/** How many parts of a mix, `1`, `2.5`. */
export const partsText = (parts: number): string => String(Number(parts.toFixed(2)));

export const gramText = (grams: number): string => `${fixed(grams, grams < 100 ? 1 : 0)} g`;

export function temperatureText(celsius: number, units: Units): string {
  return units.temperature === 'celsius' ? `${fixed(celsius, 1)} °C` : `${fixed(fahrenheitOf(celsius), 0)} °F`;
}

/** Minutes as a maker says them: 25 min, 2 h 10, 3 days. */
export function durationText(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole >= 2880) {
    const hours = Math.round((whole % 1440) / 60);
    const days = Math.floor(whole / 1440) + (hours === 24 ? 1 : 0);
    return hours % 24 === 0 ? `${days} days` : `${days} days ${hours} h`;
  }
  const rest = whole % 60;
  return rest === 0 ? `${Math.floor(whole / 60)} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')}`;
}

export const percentText = (share: number, digits = 0): string => `${fixed(share * 100, digits)} %`;

/** `1 area`, `3 areas`; irregular plurals are given. */
export function countText(count: number, singular: string, plural = `${singular}s`): string {
  return `${count} ${count === 1 ? singular : plural}`;
}

/** Names as one says them: `Foot`, `Foot and Ridge`, `Foot, Eaves and Ridge`. */
export const listText = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`;

/** A large count that nobody knows to the last one: two figures of it, `43,000`. */
export const aboutText = (count: number): string => Number(count.toPrecision(2)).toLocaleString('en');
