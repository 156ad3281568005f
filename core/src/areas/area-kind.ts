import type { Region } from '../regions';
import { lengthText, spanText, type Units } from '../units';
import { heightOf, levelHeight, type Cup, type Level } from '../vessel';

/** What is wrong with an area on a cup: in which of its fields, and a sentence. */
export interface AreaFault {
  readonly field: string;
  readonly sentence: string;
}

/** A point a maker can take hold of. Its place is on the wall; what it moves is the area's own affair. */
export interface AreaHandle {
  readonly key: string;
  readonly label: string;
  readonly angle: number;
  readonly height: number;
  /** which way it can go */
  readonly goes: 'up' | 'round' | 'both';
}

/** A place on the wall, degrees from the seam and mm above the foot. */
export interface WallPlace {
  readonly angle: number;
  readonly height: number;
}

/** What is known of an area once it is laid out. Lengths mm; null off the wall. */
export interface AreaMeasures {
  readonly from: number | null;
  readonly to: number | null;
  readonly lowerWidth: number | null;
  readonly upperWidth: number | null;
  readonly motifs: { readonly wanted: number; readonly placed: number } | null;
}

/** A figure that matters while an area is moved, beside one of its handles. */
export interface HandleFigure {
  readonly key: string;
  readonly text: string;
}

/** What every area has, whatever its kind. */
type Shared = 'id' | 'name' | 'locked' | 'masked';

/** One kind of area: how it is named and begun, what it covers, and how it is moved. */
export interface AreaKind<One extends { readonly kind: string }> {
  readonly kind: One['kind'];
  readonly name: string;
  /** one line for whoever meets the word for the first time */
  readonly explains: string;
  /** a cup has one such place at most, and its name needs no number */
  readonly single: boolean;
  /**
   * What a new one starts from: something to see at once, sound on any cup.
   * @param reached mm above the foot up to which bands lie already
   */
  start(cup: Cup, reached: number): Omit<One, Shared>;
  /** about how many points its outline has: what laying it out costs grows with it */
  weight(area: One): number;
  /** its shape on the wall before later areas take from it; nothing for those off the wall */
  shape(area: One, cup: Cup, host: Region | null): Region;
  faults(area: One, cup: Cup): readonly AreaFault[];
  /** how wide it is along the tape at its lower and upper end, mm */
  widths(area: One, cup: Cup): { readonly lower: number; readonly upper: number } | null;
  handles(area: One, cup: Cup): readonly AreaHandle[];
  moved(area: One, key: string, to: WallPlace, cup: Cup): One;
  /** the area with each of its heights counted anew */
  withLevels(area: One, change: (level: Level) => Level): One;
  /** a copy a step aside, where it can be seen beside this one */
  aside(area: One): One;
  /** the same on the other side of the line opposite the seam; null of what has no sides, or falls by chance */
  mirrored(area: One): One | null;
  /** grown or shrunk with the levels it lies between; what is laid by them alone stays as it is */
  squeezed(area: One, ratio: number): One;
  /** how it is laid, in words and figures that make it again on the same cup */
  words(area: One, laid: AreaMeasures | null, units: Units): string;
  /** what is read while it is moved */
  figures(area: One, cup: Cup, units: Units): readonly HandleFigure[];
}

/** mm: what is less tall no hand lays */
export const LEAST_TALL = 0.5;

/** The faults of levels that must lie on the cup, one above the other. Fields are paths like `lower.level`. */
export function levelFaults(
  name: string,
  lower: Level,
  upper: Level,
  cup: Cup,
  fields: readonly [string, string],
): readonly AreaFault[] {
  const rim = heightOf(cup);
  const [from, to] = [levelHeight(lower, cup), levelHeight(upper, cup)];
  const faults: AreaFault[] = [];
  if (from > rim)
    faults.push({ field: fields[0], sentence: `“${name}” starts at ${mm(from)} mm, above the cup’s rim at ${mm(rim)} mm.` });
  else if (from < 0) faults.push({ field: fields[0], sentence: `“${name}” starts ${mm(-from)} mm below the foot of this cup.` });
  else if (to > rim)
    faults.push({ field: fields[1], sentence: `“${name}” reaches up to ${mm(to)} mm, but this cup ends at ${mm(rim)} mm.` });
  if (to <= from) faults.push({ field: fields[1], sentence: `“${name}” must end above where it starts, ${mm(from)} mm.` });
  else if (to - from < LEAST_TALL)
    faults.push({
      field: fields[1],
      sentence: `“${name}” would be under ${LEAST_TALL} mm tall, which no hand can lay. Make it taller.`,
    });
  return faults;
}

export const mm = (value: number): string => String(Math.round(value * 10) / 10);

/** What the tape measures between an area's ends, as one says it. */
export const spanWords = (laid: AreaMeasures | null, units: Units): string =>
  laid && laid.from !== null && laid.to !== null ? spanText(laid.from, laid.to, units) : '';

/** The heights between which an area lies, beside the handles at its ends. */
export const heightFigures = (from: number, to: number, units: Units): readonly HandleFigure[] => [
  { key: 'lower', text: `from ${lengthText(from, units)}` },
  { key: 'upper', text: `to ${lengthText(to, units)}` },
];

export const degreeWords = (angle: number): string => `${mm(angle)}°`;

/** An angle on the other side of the line opposite the seam. */
export const acrossTheFront = (angle: number): number => turnOf(360 - angle);

/** To the half millimetre, where a new area begins. */
export const half = (value: number): number => Math.round(value * 2) / 2;

/** A length grown or shrunk with its cup, to a tenth of a mm. */
export const squeezedLength = (length: number, ratio: number): number => Math.max(0.5, Math.round(length * ratio * 10) / 10);

/** An angle brought to 0..360. */
export const turnOf = (angle: number): number => ((angle % 360) + 360) % 360;

export const tenthDegree = (angle: number): number => Math.round(turnOf(angle) * 10) / 10;

/** The shorter way round, −180 to 180. */
export const shortTurn = (angle: number): number => turnOf(angle + 180) - 180;
