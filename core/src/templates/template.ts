import * as z from 'zod';
import type { FlatPoint } from '../vessel';

/** What a line is for: the knife, a fold, or only the eye. */
export type LineRole = 'cut' | 'fold' | 'mark';

export interface TemplateLine {
  readonly role: LineRole;
  readonly points: readonly FlatPoint[];
  /** an outline: its last point is its first */
  readonly closed: boolean;
}

export interface TemplateWords {
  readonly at: FlatPoint;
  readonly text: string;
}

/** One flat piece of paper or film at true scale, mm from its top left corner. */
export interface TemplateSheet {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly TemplateLine[];
  readonly words: readonly TemplateWords[];
}

/** Something to cut or to mark with. */
export interface Template {
  readonly title: string;
  /** what to know before cutting */
  readonly says: readonly string[];
  /** why it may not lie flat, a sentence; null when it does */
  readonly warns: string | null;
  readonly sheets: readonly TemplateSheet[];
}

/** What a template's measures can be, mm; one schema for the screen and the server. */
export const templateMeasures = {
  gap: z.number().min(0, 'A gap can’t be negative.').max(20, 'A gap of over 20 mm wants an area of its own.'),
  overlap: z.number().min(0, 'An overlap can’t be negative.').max(40, 'An overlap is at most 40 mm.'),
} as const;

/** What is wrong with a measure, a sentence; null when it can be. */
export const templateWishFault = (measure: keyof typeof templateMeasures, mm: number): string | null =>
  templateMeasures[measure].safeParse(mm).error?.issues[0].message ?? null;

/** What a maker chooses for a template. Lengths mm. */
export interface TemplateWishes {
  /** gap that an outline film has to cover */
  readonly gap: number;
  /** how far a strip lies over its own start */
  readonly overlap: number;
  /** a straight strip, though the wall leans */
  readonly straight: boolean;
}

export const usualWishes: TemplateWishes = { gap: 1, overlap: 5, straight: false };

/** A sheet just large enough for its lines, with a margin round them. */
export function sheetAround(
  title: string,
  lines: readonly TemplateLine[],
  words: readonly TemplateWords[] = [],
  margin = 3,
): TemplateSheet {
  const xs = lines.flatMap(({ points }) => points.map(([x]) => x));
  const ys = lines.flatMap(({ points }) => points.map(([, y]) => y));
  const [left, top] = [minOf(xs) - margin, minOf(ys) - margin];
  const moved = ([x, y]: FlatPoint): FlatPoint => [x - left, y - top];
  return {
    title,
    width: maxOf(xs) - left + margin,
    height: maxOf(ys) - top + margin,
    lines: lines.map((line) => ({ ...line, points: line.points.map(moved) })),
    words: words.map(({ at, text }) => ({ at: moved(at), text })),
  };
}

const minOf = (values: readonly number[]): number => values.reduce((least, value) => Math.min(least, value), Infinity);
const maxOf = (values: readonly number[]): number => values.reduce((most, value) => Math.max(most, value), -Infinity);

export const mark = (from: FlatPoint, to: FlatPoint): TemplateLine => ({ role: 'mark', points: [from, to], closed: false });

/** A circle cut into pieces shorter than a cutter's step. */
export function circleLine(role: LineRole, centre: FlatPoint, radius: number): TemplateLine {
  const count = 180;
  const points = Array.from({ length: count }, (_, i): FlatPoint => {
    const turn = (2 * Math.PI * i) / count;
    return [centre[0] + radius * Math.sin(turn), centre[1] - radius * Math.cos(turn)];
  });
  return { role, points: [...points, points[0]], closed: true };
}
