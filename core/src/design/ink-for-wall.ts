import { MOST_CRACKLE_ML, MOST_SURFACE_DROPS, type Coat } from './coat';

const within = (least: number, value: number, most: number): number => Math.min(most, Math.max(least, value));

/**
 * Ink that lies on the surface itself, for so much more wall: as deep and as high up as it was, in whole drops.
 * @param more the new wall's area over the old one's
 */
export function inkForWall(coat: Coat, more: number): Coat {
  const drops = (count: number) => within(1, Math.round(count * more), MOST_SURFACE_DROPS);
  switch (coat.kind) {
    case 'grain':
    case 'floated':
      return {
        ...coat,
        drops: drops(coat.drops),
        ...(coat.also ? { also: coat.also.map((one) => ({ ...one, drops: drops(one.drops) })) } : {}),
      };
    case 'crackle':
      return { ...coat, ml: within(0.2, Math.round(coat.ml * more * 20) / 20, MOST_CRACKLE_ML) };
    default:
      return coat;
  }
}
