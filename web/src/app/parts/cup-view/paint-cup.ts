import type { FlakeField, Station } from '@aurantia/core';
import { mouthColours, mouthOf, paintedCup, type CupPicture, type Stance, type Standing } from '@aurantia/core/figure';

/** Paints a cup without a graphics card. Whoever asks has cleared the canvas. */
export function paintCup(
  context: CanvasRenderingContext2D,
  field: FlakeField,
  cup: Standing,
  how: Pick<CupPicture, 'stance' | 'turn' | 'handle'>,
): void {
  const { width, height } = context.canvas;
  const picture = paintedCup(field, cup, { width, height, ...how });
  context.putImageData(new ImageData(picture, width, height), 0, 0);
  paintMouth(context, cup.stations, how.stance);
}

/** The open rim, looked into. */
export function paintMouth(context: CanvasRenderingContext2D, stations: readonly Station[], stance: Stance): void {
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
