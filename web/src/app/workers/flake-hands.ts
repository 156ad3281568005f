/** More hands than this would wait for each other. */
const MOST_HANDS = 8;
/**
 * Pixels that are worth a hand of their own. Each begins by reading the program and by compiling what it does often, some 0.2 s
 * of a processor, in which that many pixels are half done.
 */
const PIXELS_A_HAND = 1_000_000;

/** How many workers drop the flakes of a picture of so many pixels on a machine of so many cores. */
export const handsFor = (pixels: number, cores: number): number =>
  Math.max(1, Math.min(MOST_HANDS, cores, Math.ceil(pixels / PIXELS_A_HAND)));
