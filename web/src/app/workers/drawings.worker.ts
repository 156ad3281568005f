/// <reference lib="webworker" />
import type { Region, Station } from '@aurantia/core';
import type { Drawing } from '../drawn/drawing';
import { paintDrawing } from '../drawn/paint-drawing';
import type { DrawingsReply, DrawingsRequest } from './drawings-request';

/** Nothing here is caught: the page takes a failure for what it is, and draws by itself. */
function surface(): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(1, 1).getContext('2d');
  if (!context) throw new Error('Nothing can be drawn off the page’s thread here.');
  return context;
}

const context = surface();
const regions = new Map<number, Region>();
// What comes from the page is a fresh copy each time; outlines are remembered by the wall they lie on.
let wall: { readonly text: string; readonly stations: readonly Station[] } = { text: '', stations: [] };

function regionOf(number: number): Region {
  const region = regions.get(number);
  if (!region) throw new Error(`Region ${number} was never sent.`);
  return region;
}

const reply = (what: DrawingsReply, transfer: Transferable[] = []) => postMessage(what, { transfer });

/** Draws walls while a hand drags: on the page's thread it would outlast a frame. */
addEventListener('message', ({ data: { come, go, drawing } }: MessageEvent<DrawingsRequest>) => {
  for (const [number, region] of come) regions.set(number, region);
  for (const number of go) regions.delete(number);
  const text = JSON.stringify(drawing.wall.stations);
  if (text !== wall.text) wall = { text, stations: drawing.wall.stations };
  paintDrawing(context, {
    ...drawing,
    wall: { ...drawing.wall, stations: wall.stations },
    marks: drawing.marks.map((mark) => ({ ...mark, region: regionOf(mark.region) })),
  } satisfies Drawing);
  const picture = context.canvas.transferToImageBitmap();
  reply({ picture }, [picture]);
});
reply('here');
