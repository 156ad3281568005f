import type { Plan } from '../plan';
import { boxOfRegion, type Region, type WallPicture } from '../regions';

/** Where on the wall a pixel lies: share of a turn, and mm above the foot. */
export type SpotOfPixel = (pixel: number) => readonly [turn: number, up: number];

/** Of the whole wall unrolled. */
export const onWall =
  ({ width, top, rowsPerMm }: WallPicture): SpotOfPixel =>
  (pixel) => [((pixel % width) + 0.5) / width, top - (Math.floor(pixel / width) + 0.5) / rowsPerMm];

/** Of a flat square, as if cut out of the middle of a place, as far as the wall goes. */
export function flatSpot(size: number, pixelsPerMm: number, { surface }: Pick<Plan, 'surface'>, region: Region): SpotOfPixel {
  const round = (surface.footCircumference + surface.rimCircumference) / 2;
  const side = size / pixelsPerMm;
  const box = boxOfRegion(region) ?? { left: 0, right: 360, bottom: 0, top: surface.height };
  const middle = (box.left + box.right) / 720;
  const foot = Math.max(0, Math.min(surface.height - side, (box.bottom + box.top - side) / 2));
  return (pixel) => [
    (1 + middle + ((pixel % size) - size / 2) / pixelsPerMm / round) % 1,
    foot + (size - Math.floor(pixel / size) - 0.5) / pixelsPerMm,
  ];
}
