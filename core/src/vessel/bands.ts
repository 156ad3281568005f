import type { Station } from './station';
import { wallArea } from './wall';

/** A stretch of wall between two heights, mm. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/**
 * Which stretches each band keeps when later bands lie on earlier ones. Every height belongs to
 * the last band that holds it, so no surface is counted twice.
 * @returns one list a band, in the order given, and what is left between 0 and `top`
 */
export function bandSpans(bands: readonly Span[], top: number): { kept: readonly Span[][]; left: readonly Span[] } {
  const cuts = [...new Set([0, top, ...bands.flatMap((band) => [band.from, band.to])])].sort((a, b) => a - b);
  const kept: Span[][] = bands.map(() => []);
  const left: Span[] = [];
  cuts.slice(1).forEach((to, index) => {
    const from = cuts[index];
    const owner = bands.findLastIndex((band) => band.from <= from && band.to >= to);
    if (owner >= 0) joinOn(kept[owner], from, to);
    else if (from < top) joinOn(left, from, Math.min(to, top));
  });
  return { kept, left };
}

/** The wall of several stretches together, cm². */
export function spansArea(stations: readonly Station[], spans: readonly Span[]): number {
  return spans.reduce((sum, span) => sum + wallArea(stations, span.from, span.to), 0);
}

function joinOn(spans: Span[], from: number, to: number): void {
  const last = spans.at(-1);
  if (last?.to === from) spans[spans.length - 1] = { from: last.from, to };
  else spans.push({ from, to });
}
