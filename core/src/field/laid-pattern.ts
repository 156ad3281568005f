import { filmLook } from '../look';
import type { PlannedPattern } from '../on-surface';
import { patternOf } from '../pattern';
import type { FieldPlace } from './laid-pieces';
import type { SpotOfPixel } from './spot-of-pixel';

/** Places with a pattern on them: the pixels of each of its classes are a part of their own, with its film between the place's layers. */
export function withPattern(
  places: readonly FieldPlace[],
  { wish, films, under }: PlannedPattern,
  spotOf: SpotOfPixel,
): readonly FieldPlace[] {
  const pattern = patternOf(wish);
  return places.flatMap((place): readonly FieldPlace[] => {
    if (!(place.id in under)) return [place];
    const classes = films.map((): number[] => []);
    for (const pixel of place.pixels) classes[pattern.classAt(...spotOf(pixel))].push(pixel);
    return classes.flatMap((pixels, own): readonly FieldPlace[] => {
      const film = films[own];
      if (pixels.length === 0) return [];
      const look = film === null ? place.look : place.look.toSpliced(under[place.id], 0, filmLook(film));
      return [{ id: place.id, pixels: Uint32Array.from(pixels), look }];
    });
  });
}
