import sharp from 'sharp';
import { ProblemError } from '../http/problem';

export interface PhotoAsked {
  readonly bytes: Uint8Array;
}

/** A photo as it is kept: upright, without what the camera wrote into it, and a small one of it; JPEG. */
export interface KeptPhoto {
  readonly large: Uint8Array;
  readonly small: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** The most pixels of a photo that is read; the longest side one is kept with, and a small one. */
const MOST_PIXELS = 64_000_000;
const LONGEST = 2400;
const SMALL = 320;

/** @throws ProblemError 422 for what is no picture, or larger than any camera's */
export async function keptPhoto({ bytes }: PhotoAsked): Promise<KeptPhoto> {
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const { format } = await picture.metadata();
    if (format !== 'jpeg' && format !== 'png' && format !== 'webp') throw new Error('another format');
    const upright = picture.rotate().flatten({ background: '#ffffff' });
    const large = await upright
      .clone()
      .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 90 })
      .toBuffer({ resolveWithObject: true });
    const small = await sharp(large.data).resize({ width: SMALL, height: SMALL, fit: 'inside' }).jpeg({ quality: 80 }).toBuffer();
    return { large: large.data, small, width: large.info.width, height: large.info.height };
  } catch (error) {
    const large = error instanceof Error && /pixel limit/.test(error.message);
    throw new ProblemError(
      422,
      'Not accepted',
      large
        ? 'This photo has over 64 million pixels. Save it smaller, and choose that one.'
        : 'This file is no picture that can be read, or it was cut short. Choose a JPEG, PNG or WebP.',
    );
  }
}
