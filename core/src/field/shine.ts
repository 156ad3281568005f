import type { LookFlake } from './look';

/** How a flake's tilt shows as brightness, in so many steps. */
export const SHINES = 64;
const FLASHING = 2;
const FLASH = 2.4;

const shines = new Map<number, Float64Array>();

/**
 * Brightness of a flake by its tilt, 1 on average: 1 in 32 flashes, the others lie a little dull, each as likely as any.
 * @param opacity what lets light through glints less
 */
export function shinesOf({ opacity }: Pick<LookFlake, 'opacity'>): Float64Array {
  const known = shines.get(opacity);
  if (known) return known;
  const dull = (SHINES - FLASHING * FLASH) / (SHINES - FLASHING);
  const found = Float64Array.from({ length: SHINES }, (_, i) => {
    const spread = ((((i * 37) % SHINES) + 0.5) / SHINES - 0.5) * 0.5 * opacity;
    return (i < FLASHING ? FLASH : dull) + spread;
  });
  shines.set(opacity, found);
  return found;
}
