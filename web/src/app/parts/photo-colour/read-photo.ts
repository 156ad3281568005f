import { hexOfLinearRgb, linearRgbOfHex } from '@aurantia/core';

/** A file that can’t be used as a photo; the sentence says what to do. */
export class PhotoError extends Error {
  override readonly name = 'PhotoError';
}

const MOST_BYTES = 40_000_000;
/** Longest side a photo is looked at with, pixels: finer than any patch one picks. */
const LONGEST = 1600;
/** Half the side of the patch that is averaged, pixels. */
const PATCH = 5;

/**
 * Reads a photo, upright however the camera was held, and no larger than is needed.
 * @throws PhotoError when it is no picture or far too large
 */
export async function readPhoto(file: Blob): Promise<ImageBitmap> {
  if (file.size > MOST_BYTES) throw new PhotoError('This photo is over 40 megabytes. Save it smaller and choose that one.');
  let whole: ImageBitmap;
  try {
    whole = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new PhotoError('This file is no picture that can be read. Choose a JPEG, PNG or WebP.');
  }
  const scale = Math.min(1, LONGEST / Math.max(whole.width, whole.height));
  if (scale === 1) return whole;
  const small = await createImageBitmap(whole, {
    resizeWidth: Math.max(1, Math.round(whole.width * scale)),
    resizeHeight: Math.max(1, Math.round(whole.height * scale)),
    resizeQuality: 'medium',
  });
  whole.close();
  return small;
}

/** The mean colour of a small patch, averaged as light, so that glints and grain even out. */
export function meanColour(context: CanvasRenderingContext2D, x: number, y: number): string {
  const { width, height } = context.canvas;
  const left = Math.max(0, Math.round(x) - PATCH);
  const top = Math.max(0, Math.round(y) - PATCH);
  const { data } = context.getImageData(left, top, Math.min(width - left, 2 * PATCH + 1), Math.min(height - top, 2 * PATCH + 1));
  const sum = [0, 0, 0];
  for (let at = 0; at < data.length; at += 4) {
    const hex = `#${[0, 1, 2].map((axis) => data[at + axis].toString(16).padStart(2, '0')).join('')}`;
    linearRgbOfHex(hex).forEach((value, axis) => (sum[axis] += value));
  }
  const count = data.length / 4;
  return hexOfLinearRgb([sum[0] / count, sum[1] / count, sum[2] / count]);
}
