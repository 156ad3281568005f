import type { Region, Station } from '@aurantia/core';
import type { Stance } from '@aurantia/core/figure';

/** How an edge is drawn, css pixels; `dash` empty for a whole line. */
export interface MarkLine {
  readonly colour: string;
  readonly width: number;
  readonly dash: readonly number[];
}

/** How a part of the wall is filled: with a colour, or hatched. */
export type MarkFill = { readonly colour: string; readonly alpha: number } | { readonly paper: string; readonly stroke: string };

/** A part of the wall as it is drawn. */
export interface Mark {
  readonly region: Region;
  readonly fill: MarkFill | null;
  readonly line: MarkLine | null;
}

/** The wall laid flat: css pixels a mm, and its left upper corner in css pixels. */
export interface FlatWall {
  readonly how: 'flat';
  readonly stations: readonly Station[];
  readonly scale: number;
  readonly left: number;
  readonly top: number;
}

/** The near side of a cup as it stands, turned by so many radians; only edges are drawn on it. */
export interface CupWall {
  readonly how: 'cup';
  readonly stations: readonly Station[];
  readonly stance: Stance;
  readonly turn: number;
}

/** What a canvas shows of a wall; its size in css pixels, each so many dots wide. */
export interface Drawing<Drawn = Mark> {
  readonly width: number;
  readonly height: number;
  readonly dots: number;
  readonly wall: FlatWall | CupWall;
  /** one over the other */
  readonly marks: readonly Drawn[];
}
