import type { Growth } from '@aurantia/core/section';
import { canvasPng } from '../../../services/canvas-png';

const INK = '#2a1b2e';
const PAPER = '#ffffff';
const EDGE = 28;
const NAMES = 150;
const CELL = { width: 74, height: 46 } as const;
const GAP = 6;

/** The strip as a PNG with its names, twice as fine as it is on the page. */
export async function growthPng(name: string, { steps, rows, throughGloss }: Growth): Promise<Blob> {
  const [width, height] = [2 * EDGE + NAMES + steps.length * CELL.width, 2 * EDGE + 64 + rows.length * (CELL.height + GAP)];
  const canvas = document.createElement('canvas');
  canvas.width = 2 * width;
  canvas.height = 2 * height;
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser can’t draw the strip.');
  await document.fonts.ready;
  context.scale(2, 2);
  context.fillStyle = PAPER;
  context.fillRect(0, 0, width, height);
  context.fillStyle = INK;
  context.font = '700 20px "Bricolage Grotesque Variable"';
  context.fillText(
    `${name}, as it grows${throughGloss ? ' (under resin: through its gloss)' : ''}`,
    EDGE,
    EDGE + 16,
    width - 2 * EDGE,
  );
  context.font = '600 13px "Figtree Variable"';
  context.textAlign = 'center';
  steps.forEach(({ coats }, i) => {
    context.fillText(coats === 0 ? 'wall' : String(coats), EDGE + NAMES + (i + 0.5) * CELL.width, EDGE + 52);
  });
  context.textAlign = 'left';
  rows.forEach((row, r) => {
    const top = EDGE + 64 + r * (CELL.height + GAP);
    context.fillStyle = INK;
    context.fillText(row.name, EDGE, top + CELL.height / 2 + 5, NAMES - 10);
    row.colours.forEach((colour, i) => {
      context.fillStyle = colour;
      context.fillRect(EDGE + NAMES + i * CELL.width, top, CELL.width, CELL.height);
    });
  });
  return canvasPng(canvas, 'the strip');
}
