import type { CupWall, Drawing, FlatWall, Mark, MarkFill, MarkLine } from './drawing';
import { outlinePaths } from './flat-outlines';
import { linesSeen } from './seen-at';

type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

/**
 * Draws parts of a wall, the canvas made as large as the drawing. A canvas, since a browser draws hundreds of motifs as shapes
 * of the page anew for every tile and every step of a drag.
 */
export function paintDrawing(context: Context, { width, height, dots, wall, marks }: Drawing): void {
  const { canvas } = context;
  const [across, down] = [Math.floor(width * dots), Math.floor(height * dots)];
  if (canvas.width !== across || canvas.height !== down) {
    canvas.width = across;
    canvas.height = down;
  }
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.clearRect(0, 0, canvas.width, canvas.height);
  if (wall.how === 'flat') paintFlat(context, wall, dots, marks);
  else paintOnCup(context, wall, dots, marks);
}

function paintFlat(context: Context, { stations, scale, left, top }: FlatWall, dots: number, marks: readonly Mark[]): void {
  context.setTransform(dots * scale, 0, 0, dots * scale, dots * left, dots * top);
  context.lineJoin = 'round';
  for (const { region, fill, line } of marks) {
    const paths = outlinePaths(region, stations);
    if (fill) {
      context.globalAlpha = 'alpha' in fill ? fill.alpha : 1;
      context.fillStyle = filled(context, fill, dots, scale);
      for (const path of paths) context.fill(path, 'evenodd');
      context.globalAlpha = 1;
    }
    if (line) {
      lined(context, line, scale);
      for (const path of paths) context.stroke(path);
    }
  }
}

function paintOnCup(context: Context, { stations, stance, turn }: CupWall, dots: number, marks: readonly Mark[]): void {
  context.setTransform(dots, 0, 0, dots, 0, 0);
  for (const { region, line } of marks) {
    if (!line) continue;
    lined(context, line, 1);
    // Line by line: a browser draws many short lines far faster than one long one of many pieces.
    for (const [start, ...rest] of linesSeen(region, stations, stance, turn)) {
      context.beginPath();
      context.moveTo(...start);
      for (const point of rest) context.lineTo(...point);
      context.stroke();
    }
  }
}

function lined(context: Context, { colour, width, dash }: MarkLine, scale: number): void {
  context.strokeStyle = colour;
  context.lineWidth = width / scale;
  context.setLineDash(dash.map((length) => length / scale));
}

function filled(context: Context, fill: MarkFill, dots: number, scale: number): string | CanvasPattern {
  if ('colour' in fill) return fill.colour;
  const hatch = context.createPattern(hatching(dots, fill.paper, fill.stroke), 'repeat');
  if (!hatch) return fill.paper;
  hatch.setTransform(new DOMMatrix().scale(1 / (dots * scale)));
  return hatch;
}

let hatched: { readonly of: string; readonly tile: OffscreenCanvas } | null = null;

/** Slanting lines: what stays bare. The last tile is kept, as making one takes as long as filling with it. */
function hatching(dots: number, paper: string, stroke: string): OffscreenCanvas {
  const of = `${dots} ${paper} ${stroke}`;
  if (hatched?.of === of) return hatched.tile;
  const side = 10 * dots;
  const tile = new OffscreenCanvas(side, side);
  hatched = { of, tile };
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
