import type { Station } from '@aurantia/core';
import { mouthColours, mouthOf, paintedCup, type CupPicture, type Stance } from '@aurantia/core/figure';
import type { PaintedSubject } from './painter-request';

/** Paints a cup without a graphics card, its canvas made as large as the picture. */
export function paintCup(context: OffscreenCanvasRenderingContext2D, { field, cup }: PaintedSubject, how: CupPicture): void {
  const { width, height } = how;
  // Setting a size clears it, even the same one.
  Object.assign(context.canvas, { width, height });
  context.putImageData(new ImageData(paintedCup(field, cup, how), width, height), 0, 0);
  paintMouth(context, cup.stations, how.stance);
}

/** The open rim, looked into. */
function paintMouth(context: OffscreenCanvasRenderingContext2D, stations: readonly Station[], stance: Stance): void {
  const { x, y, across, down, line } = mouthOf(stations, stance);
  const inside = context.createLinearGradient(x - across, 0, x + across, 0);
  inside.addColorStop(0, mouthColours.left);
  inside.addColorStop(0.55, mouthColours.middle);
  inside.addColorStop(1, mouthColours.right);
  context.beginPath();
  context.ellipse(x, y, across, down, 0, 0, 2 * Math.PI);
  context.fillStyle = inside;
  context.fill();
  context.lineWidth = line;
  context.strokeStyle = mouthColours.rim;
  context.stroke();
}
