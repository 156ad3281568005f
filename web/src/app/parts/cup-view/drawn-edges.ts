import { linesAround, middleOf, type Plan, type Region, type Station } from '@aurantia/core';
import type { Stance } from '@aurantia/core/figure';
import type { Mark } from '../../drawn/drawing';
import { seenAt } from '../../drawn/seen-at';

/** The areas whose edges are drawn on the cup. */
export interface CupEdges {
  readonly faint: readonly Region[];
  /** pieces that nobody says the look of, or that one looks through */
  readonly pieces: readonly Region[];
  readonly chosen: Region | null;
}

/** What is marked on the cup: the pieces of a coat where one is open, else the area that is chosen. */
export interface Marked {
  readonly area: string | null;
  readonly coat: string | null;
}

/** Where what is marked lies; null where nothing is. */
export function markedRegion({ pieces, areas }: Plan, { area, coat }: Marked): Region | null {
  return pieces.find((piece) => piece.coat === coat)?.region ?? areas.areas.find(({ id }) => id === area)?.own ?? null;
}

/** Of so many pieces no faint edge is drawn: it would be a thicket of lines. */
const MOST_PIECES = 60;
/** With more holes than this an area is edged without them: what lies in them has edges of its own. */
const MOST_HOLES = 8;

function faintEdge(edge: Region): readonly Region[] {
  if (edge.length >= MOST_PIECES) return [];
  return [linesAround(edge) - edge.length > MOST_HOLES ? edge.map(([outline]) => [outline]) : edge];
}

/** Edges of all areas, faint, and of what is marked. */
export function edgesOf(plan: Plan, marked: Marked): CupEdges {
  const chosen = markedRegion(plan, marked);
  return {
    faint: plan.places.flatMap(({ id, edge }) => (edge && id !== marked.area ? faintEdge(edge) : [])),
    pieces: plan.pieces.filter(({ hides, region }) => hides === null && region !== chosen).map(({ region }) => region),
    chosen,
  };
}

/** From so many pieces on, an edge isn’t dashed: the dashes would be all one saw. */
const MANY = 8;

/** Edges as they are drawn over a cup; the chosen one in the colour given. */
export function edgeMarks({ faint, pieces, chosen }: CupEdges, peel: string): readonly Mark[] {
  const mark = (region: Region, colour: string, width: number, dash: readonly number[]) => ({
    region,
    fill: null,
    line: { colour, width, dash },
  });
  return [
    ...faint.map((region) => mark(region, '#fffdf9', 1, [5, 4])),
    ...pieces.map((region) => mark(region, '#fffdf9', 1.5, [])),
    ...(chosen ? [mark(chosen, peel, 2, chosen.length > MANY ? [] : [6, 3])] : []),
  ];
}

/** What turns to the front once it is marked: the first piece of a coat, or the middle of an area. */
export function frontOf(plan: Plan, { area, coat }: Marked): ReturnType<typeof middleOf> {
  const piece = plan.pieces.find((one) => one.coat === coat)?.region.slice(0, 1);
  return middleOf(piece ?? plan.areas.areas.find(({ id }) => id === area)?.region ?? []);
}

/** A name in the middle of what is drawn by its edges alone, css pixels. */
interface PieceName {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** Names of the pieces that nobody says the look of: of each coat, where the piece is that faces one most. */
export const pieceNames = ({ pieces }: Plan, stations: readonly Station[], stance: Stance, turn: number): readonly PieceName[] =>
  pieces
    .filter(({ hides }) => hides === null)
    .flatMap(({ name, region }): readonly PieceName[] => {
      const middles = region.flatMap((polygon) => middleOf([polygon]) ?? []);
      const [front] = middles
        .map(({ angle, height }) => seenAt(angle, height, stations, stance, turn))
        .filter(({ near }) => near)
        .sort((a, b) => Math.abs(a.x - stance.axis) - Math.abs(b.x - stance.axis));
      return front ? [{ name, x: front.x, y: front.y }] : [];
    });
