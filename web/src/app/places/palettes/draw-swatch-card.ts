import type { CardChip, SwatchCard } from '@aurantia/core/palette';
import { changeDpiBlob } from 'changedpi';

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
  write(context, card.title, 8, 13, '700 6px "Bricolage Grotesque Variable"', INK, card.width - 16);
  for (const chip of card.chips) drawChip(context, chip);
  const png = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!png) throw new Error('This browser can’t draw the card.');
  return changeDpiBlob(png, DOTS);
}

function drawChip(context: CanvasRenderingContext2D, { x, y, width, height, colour, name, hex, mix }: CardChip): void {
  context.fillStyle = colour;
  context.fillRect(x, y, width, height);
  write(context, name, x, y + height + 4, '700 3.4px "Figtree Variable"', INK, width);
  write(context, hex, x, y + height + 7.4, '400 2.6px "Figtree Variable"', SOFT, width);
  mix
    .slice(0, 4)
    .forEach((line, i) => write(context, line, x, y + height + 10.6 + i * 3, '400 2.5px "Figtree Variable"', INK, width));
}

/** Words on one line, made narrower where they would run out of their field. */
function write(
  context: CanvasRenderingContext2D,
  words: string,
  x: number,
  y: number,
  font: string,
  colour: string,
  most: number,
): void {
  context.font = font;
  context.fillStyle = colour;
  context.fillText(words, x, y, most);
}
