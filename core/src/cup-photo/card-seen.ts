import { hexOfLinearRgb, linearRgbOfHex } from '../colour';
import type { Picture } from './read-cup-photo';
import type { PicturePoint } from './seen-cup';

/** Half the side of what of a card is averaged, as a share of the picture's width. */
const HALF = 0.006;

/** What a photo shows of a card around a point: the mean of its light. */
export function cardSeen({ pixels, width, height }: Picture, [x, y]: PicturePoint): string {
  const half = Math.max(1, Math.round(HALF * width));
  const sum = [0, 0, 0];
  let count = 0;
  for (let row = Math.max(0, Math.round(y) - half); row <= Math.min(height - 1, Math.round(y) + half); row += 1)
    for (let column = Math.max(0, Math.round(x) - half); column <= Math.min(width - 1, Math.round(x) + half); column += 1) {
      const from = 4 * (row * width + column);
      const hex = `#${[0, 1, 2].map((axis) => pixels[from + axis].toString(16).padStart(2, '0')).join('')}`;
      linearRgbOfHex(hex).forEach((value, axis) => (sum[axis] += value));
      count += 1;
    }
  return count === 0 ? '#000000' : hexOfLinearRgb([sum[0] / count, sum[1] / count, sum[2] / count]);
}
