import { kmeans } from 'ml-kmeans';
import { balanced, deltaE2000, hexOfLab, labOfPixel, type KnownPatch, type Lab } from '../colour';

/** A colour of a photo with its share of the picture. */
export interface PhotoColour {
  readonly colour: string;
  readonly share: number;
}

/** So many pixels stand for a photo: enough for colours, few enough to sort at once. */
const LOOKED_AT = 6000;
const SEED = 21;
/** ΔE00 below which no eye parts two colours */
const TWINS = 2;

/**
 * The main colours of a photo: its pixels sorted into so many groups by k-means in L*a*b* (started as k-means++
 * says, from a fixed seed), the largest group first. Fewer come back when the photo has fewer.
 * @param pixels RGBA, sRGB
 * @param count 1 to 12
 * @param patch a white or grey card in the photo that sets its light right
 * @throws PatchError when that patch can't be measured by
 */
export function photoColours(pixels: Uint8ClampedArray, count: number, patch: KnownPatch | null = null): readonly PhotoColour[] {
  const total = pixels.length / 4;
  const every = Math.max(1, Math.floor(total / LOOKED_AT));
  const points: number[][] = [];
  for (let at = 0; at < total; at += every) {
    const from = at * 4;
    if (pixels[from + 3] >= 128) points.push([...labOfPixel(pixels[from], pixels[from + 1], pixels[from + 2])]);
  }
  const different = new Set(points.map((point) => point.join())).size;
  if (different === 0) return [];
  const { centroids, clusters } = kmeans(points, Math.min(count, different), { seed: SEED, maxIterations: 60 });
  const sizes = centroids.map((_, i) => clusters.filter((one) => one === i).length);
  return centroids
    .map(([L, a, b], i) => ({ lab: [L, a, b] as const, share: sizes[i] / points.length }))
    .filter(({ share }) => share > 0)
    .sort((one, other) => other.share - one.share)
    .reduce<{ lab: Lab; share: number }[]>(
      // Two groups that no eye parts are one.
      (kept, one) => {
        const same = kept.find(({ lab }) => deltaE2000(lab, one.lab) < TWINS);
        if (same) same.share += one.share;
        else kept.push(one);
        return kept;
      },
      [],
    )
    .map(({ lab, share }) => ({ colour: patch ? balanced(hexOfLab(lab), patch) : hexOfLab(lab), share }));
}
