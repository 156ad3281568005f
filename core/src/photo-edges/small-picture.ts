import { Image } from 'image-js';
import type { Picture } from '../cup-photo';
import { rememberEach } from '../remember';

/** A photo made small enough to look all over, its grain smoothed. */
export interface SmallPicture {
  /** RGBA, of 255 */
  readonly pixels: Uint8Array;
  readonly width: number;
  readonly height: number;
  /** pixels of the photo to one of these */
  readonly times: number;
  /** how far pixels near each other usually differ, of 255 */
  readonly grain: number;
}

/** Pixels; a strip as narrow as this is no picture, and nothing to smooth. */
const NARROW = 8;

/** Pixels of the longer side of a picture that is looked at finely, and of one where a cup may be anywhere. */
const [FINE, COARSE] = [680, 170];

const fineImage = rememberEach(({ pixels, width, height }: Picture): Image => {
  const data = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
  return halved(new Image(width, height, { data, colorModel: 'RGBA' }), FINE);
});
/** The same one again for the same picture. */
export const finePicture = rememberEach((picture: Picture) => smoothed(fineImage(picture), picture.width));
export const coarsePicture = rememberEach((picture: Picture) => smoothed(halved(fineImage(picture), COARSE), picture.width));

/** Halved until its longer side is at most so many pixels: each pixel of the outcome is the mean of those it stands for. */
function halved(image: Image, longest: number): Image {
  if (Math.max(image.width, image.height) <= longest || Math.min(image.width, image.height) <= 2 * NARROW) return image;
  const [width, height] = [Math.ceil(image.width / 2), Math.ceil(image.height / 2)];
  return halved(image.resize({ width, height, preserveAspectRatio: false }), longest);
}

function smoothed(image: Image, width: number): SmallPicture {
  const smooth = Math.min(image.width, image.height) > NARROW ? image.gaussianBlur({ sigma: 1 }) : image;
  const pixels = Uint8Array.from(smooth.getRawImage().data);
  const small = { pixels, width: image.width, height: image.height, times: width / image.width };
  return { ...small, grain: grainOf(small) };
}

/** Pixels from one place whose grain is looked at to the next, and across which. */
const EACH = 11;
const NEAR = 3;

/** The median: edges are few. */
function grainOf(picture: Pixels): number {
  const all: number[] = [];
  for (let y = 0; y < picture.height; y += EACH)
    for (let x = 0; x < picture.width - NEAR; x += EACH) all.push(apartAt(picture, x, y, x + NEAR, y));
  return all.sort((one, other) => one - other)[Math.floor(all.length / 2)] ?? 0;
}

type Pixels = Pick<SmallPicture, 'pixels' | 'width' | 'height'>;

/** Where a point's colour begins among the pixels; outside of the picture it is that of the nearest one in it. */
function at({ width, height }: Pixels, x: number, y: number): number {
  const column = x <= 0 ? 0 : x >= width - 1 ? width - 1 : Math.round(x);
  const row = y <= 0 ? 0 : y >= height - 1 ? height - 1 : Math.round(y);
  return 4 * (row * width + column);
}

/** How far the colours of two points are apart: the largest difference of a primary, of 255. Asked for millions of times. */
export function apartAt(picture: Pixels, x0: number, y0: number, x1: number, y1: number): number {
  const { pixels } = picture;
  const [one, other] = [at(picture, x0, y0), at(picture, x1, y1)];
  return Math.max(
    Math.abs(pixels[one] - pixels[other]),
    Math.abs(pixels[one + 1] - pixels[other + 1]),
    Math.abs(pixels[one + 2] - pixels[other + 2]),
  );
}
