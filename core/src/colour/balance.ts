import { hexOfLinearRgb, linearRgbOfHex } from './hex';

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
  const [colour, seen, is] = [hex, patch.seen, patch.is].map(linearRgbOfHex);
  if (seen.some((value) => value < 0.02))
    throw new PatchError(
      'The white or grey patch is too dark in this photo. Pick another spot of it, or take the photo in more light.',
    );
  if (seen.some((value) => value >= 0.995))
    throw new PatchError(
      'The white or grey patch is burnt out in this photo. Pick it where it isn’t, or take the photo a little darker.',
    );
  const scaled = colour.map((value, axis) => (value * is[axis]) / seen[axis]);
  return hexOfLinearRgb([scaled[0], scaled[1], scaled[2]]);
}
