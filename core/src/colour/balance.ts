import { hexOfLinearRgb, linearRgbOfHex } from './hex';
import type { Triple } from './observer';

/** A patch in a photo whose colour is known: a white or grey card. */
export interface KnownPatch {
  /** as the photo shows it */
  readonly seen: string;
  /** what it really is */
  readonly is: string;
}

/** The patch in the photo is too dark or burnt out to measure by; the sentence says what to do. */
export class PatchError extends Error {
  override readonly name = 'PatchError';
}

/**
 * A colour of a photo as it would be under even daylight: each primary scaled so that the known patch comes
 * out as it is (von Kries scaling, on linear sRGB).
 * @throws PatchError when the patch is nearly black or has a primary at its end
 */
export function balanced(hex: string, patch: KnownPatch): string {
  const times = balanceOf(patch);
  const [r, g, b] = linearRgbOfHex(hex);
  return hexOfLinearRgb([r * times[0], g * times[1], b * times[2]]);
}

/**
 * By how much each primary of such a photo is multiplied, on linear sRGB: a camera's white balance is a gain of each by itself.
 * @throws PatchError when the patch is nearly black or has a primary at its end
 */
export function balanceOf(patch: KnownPatch): Triple {
  const [seen, is] = [patch.seen, patch.is].map(linearRgbOfHex);
  if (seen.some((value) => value < 0.02))
    throw new PatchError(
      'The white or grey patch is too dark in this photo. Pick another spot of it, or take the photo in more light.',
    );
  if (seen.some((value) => value >= 0.995))
    throw new PatchError(
      'The white or grey patch is burnt out in this photo. Pick it where it isn’t, or take the photo a little darker.',
    );
  return [is[0] / seen[0], is[1] / seen[1], is[2] / seen[2]];
}
