/** sRGB's curve (IEC 61966-2-1), 0..1 in, 0..255 out. */
const curve = (value: number): number => {
  const cut = Math.min(1, Math.max(0, value));
  return Math.round(255 * (cut <= 0.0031308 ? 12.92 * cut : 1.055 * cut ** (1 / 2.4) - 0.055));
};

/** Linear RGB as the four bytes of a picture's pixel, red first, in the order this machine keeps them. */
export const packed = ([r, g, b]: readonly [number, number, number]): number =>
  ((255 << 24) | (curve(b) << 16) | (curve(g) << 8) | curve(r)) >>> 0;
