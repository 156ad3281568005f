import { linesAround, type Region } from '@aurantia/core';
import type { Mark, MarkLine } from '../../../drawn/drawing';

/** From so many lines on, an edge is drawn thin and whole: a thicket of dashes says nothing, and thin lines are drawn far faster. */
const MANY = 8;
/** px; what is wider is drawn as a shape of its own */
const THIN = 1;

/** One area of the wall laid flat, as it is drawn. */
export interface DrawnArea {
  /** empty for what no area covers */
  readonly id: string;
  readonly title: string;
  readonly colour: string;
  readonly region: Region;
}

/** Everything on the wall laid flat that isn't dragged itself. */
export interface WrapPicture {
  readonly wall: Region;
  readonly bare: Region;
  readonly parts: readonly DrawnArea[];
  /** the chosen area, and its edge even where another took from it; null when none is chosen */
  readonly chosen: { readonly id: string; readonly edge: Region } | null;
}

/** The wall laid flat as it is drawn: areas in their colours, what stays bare hatched, and the chosen one's edge over the rest. */
export function wrapMarks({ wall, bare, parts, chosen }: WrapPicture, ink: (token: string) => string): readonly Mark[] {
  const many = linesAround(chosen?.edge ?? []) > MANY;
  return [
    { region: wall, fill: { colour: ink('--sheet'), alpha: 1 }, line: null },
    ...parts.map(({ id, colour, region }): Mark => {
      if (id === '') return { region, fill: { colour, alpha: 0.35 }, line: edge(region, ink('--soft'), 1.4, [4, 3]) };
      // Many motifs of the chosen area get their edge below.
      return { region, fill: { colour, alpha: 1 }, line: id === chosen?.id && many ? null : edge(region, '#fffdf9', 1.4) };
    }),
    { region: bare, fill: { paper: ink('--paper'), stroke: ink('--field-edge') }, line: null },
    ...(chosen ? [{ region: chosen.edge, fill: null, line: edge(chosen.edge, ink('--peel'), 3) }] : []),
    { region: wall, fill: null, line: edge(wall, ink('--ink'), 1.6) },
  ];
}

const edge = (region: Region, colour: string, width: number, dash: readonly number[] = []): MarkLine => {
  const many = linesAround(region) > MANY;
  return { colour, width: many ? THIN : width, dash: many ? [] : dash };
};
