import { flatOutline, linesAround, type FlatPoint, type Region, type Station, type Unrolling } from '@aurantia/core';

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
  readonly stations: readonly Station[];
  readonly flat: Unrolling;
  readonly wall: Region;
  readonly bare: Region;
  readonly parts: readonly DrawnArea[];
  /** the chosen area, and its edge even where another took from it; null when none is chosen */
  readonly chosen: { readonly id: string; readonly edge: Region } | null;
}

/** Where the flat wall lies in the drawing: css pixels a mm, and its left upper corner in css pixels. */
export interface WrapPlace {
  readonly scale: number;
  readonly left: number;
  readonly top: number;
}

/** Outlines in mm by region: a region never changes, and hundreds of motifs take a while to trace. */
const traced = new WeakMap<Region, { readonly flat: Unrolling; readonly paths: readonly Path2D[] }>();

/** A path for each polygon: a browser draws many small shapes far faster than one large shape of many pieces. */
export function outlinePaths(region: Region, stations: readonly Station[], flat: Unrolling): readonly Path2D[] {
  const before = traced.get(region);
  if (before?.flat === flat) return before.paths;
  const paths = region.map((polygon) => {
    const path = new Path2D();
    for (const ring of flatOutline([polygon], stations, flat)) trace(path, ring);
    return path;
  });
  traced.set(region, { flat, paths });
  return paths;
}

function trace(path: Path2D, ring: readonly FlatPoint[]): void {
  ring.forEach(([x, y], i) => {
    if (i === 0) path.moveTo(x, y);
    else path.lineTo(x, y);
  });
  path.closePath();
}

/**
 * Paints the wall laid flat. A canvas, since a browser draws hundreds of motifs as shapes of the page
 * anew for every tile and every step of a drag.
 * @param dots canvas pixels a css pixel
 */
export function paintWrap(canvas: HTMLCanvasElement, picture: WrapPicture, { scale, left, top }: WrapPlace, dots: number): void {
  const context = canvas.getContext('2d');
  if (!context) return;
  const style = getComputedStyle(canvas);
  const ink = (name: string) => style.getPropertyValue(name).trim();
  const fill = (region: Region) => {
    for (const path of outlinePaths(region, picture.stations, picture.flat)) context.fill(path, 'evenodd');
  };
  const line = (region: Region, colour: string, width: number, dash: readonly number[] = []) => {
    const many = linesAround(region) > MANY;
    context.strokeStyle = colour;
    context.lineWidth = (many ? THIN : width) / scale;
    context.setLineDash(many ? [] : dash.map((length) => length / scale));
    for (const path of outlinePaths(region, picture.stations, picture.flat)) context.stroke(path);
  };
  const many = linesAround(picture.chosen?.edge ?? []) > MANY;
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.clearRect(0, 0, canvas.width, canvas.height);
  context.setTransform(dots * scale, 0, 0, dots * scale, dots * left, dots * top);
  context.lineJoin = 'round';
  context.fillStyle = ink('--sheet');
  fill(picture.wall);
  for (const { id, colour, region } of picture.parts) {
    const open = id === '';
    context.globalAlpha = open ? 0.35 : 1;
    context.fillStyle = colour;
    fill(region);
    context.globalAlpha = 1;
    // Many motifs of the chosen area get their edge below.
    if (open) line(region, ink('--soft'), 1.4, [4, 3]);
    else if (id !== picture.chosen?.id || !many) line(region, '#fffdf9', 1.4);
  }
  const hatch = context.createPattern(hatching(dots, ink('--paper'), ink('--field-edge')), 'repeat');
  if (hatch) {
    hatch.setTransform(new DOMMatrix().scale(1 / (dots * scale)));
    context.fillStyle = hatch;
    fill(picture.bare);
  }
  if (picture.chosen) line(picture.chosen.edge, ink('--peel'), 3);
  line(picture.wall, ink('--ink'), 1.6);
}

/** Slanting lines: what stays bare. */
function hatching(dots: number, paper: string, stroke: string): HTMLCanvasElement {
  const side = 10 * dots;
  const tile = document.createElement('canvas');
  tile.width = tile.height = side;
  const context = tile.getContext('2d');
  if (!context) return tile;
  context.fillStyle = paper;
  context.fillRect(0, 0, side, side);
  context.strokeStyle = stroke;
  context.lineWidth = 2 * dots;
  for (const shift of [-side, 0, side]) {
    context.beginPath();
    context.moveTo(shift - side / 2, side * 1.5);
    context.lineTo(shift + side * 1.5, -side / 2);
    context.stroke();
  }
  return tile;
}
