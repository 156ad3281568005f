import type { CardChip, SwatchCard } from '@aurantia/core/palette';
import { changeDpiBlob } from 'changedpi';
import { canvasPng } from '../../services/canvas-png';

/** Dots an inch that the card is drawn and says it is to be printed at. */
const DOTS = 300;
const PER_MM = DOTS / 25.4;
const INK = '#2a1b2e';
const SOFT = '#6b5a66';

/** A swatch card as a PNG that prints at true size. */
export async function swatchCardPng(card: SwatchCard): Promise<Blob> {
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(card.width * PER_MM);
  canvas.height = Math.round(card.height * PER_MM);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser can’t draw the card.');
  await document.fonts.ready;
  context.scale(PER_MM, PER_MM);
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, card.width, card.height);
  const font = '700 6px "Bricolage Grotesque Variable"';
  write(context, card.title, { x: 8, y: 13, font, colour: INK, most: card.width - 16 });
  for (const chip of card.chips) drawChip(context, chip);
  return changeDpiBlob(await canvasPng(canvas, 'the card'), DOTS);
}

function drawChip(context: CanvasRenderingContext2D, { x, y, width, height, colour, name, hex, mix }: CardChip): void {
  context.fillStyle = colour;
  context.fillRect(x, y, width, height);
  const line = (words: string, below: number, print: string, ink: string) =>
    write(context, words, { x, y: y + height + below, font: `${print} "Figtree Variable"`, colour: ink, most: width });
  line(name, 4, '700 3.4px', INK);
  line(hex, 7.4, '400 2.6px', SOFT);
  mix.slice(0, 4).forEach((part, i) => line(part, 10.6 + i * 3, '400 2.5px', INK));
}

/** Words on one line, made narrower where they would run out of their field. */
function write(
  context: CanvasRenderingContext2D,
  words: string,
  { x, y, font, colour, most }: { x: number; y: number; font: string; colour: string; most: number },
): void {
  context.font = font;
  context.fillStyle = colour;
  context.fillText(words, x, y, most);
}
