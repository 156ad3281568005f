import { heightOf, type Station } from '../vessel';
import type { CupHandles, PicturePoint } from './seen-cup';

/** Share of a picture's height that a cup usually fills. */
const FILLS = 0.66;

/** Where handles stand before anybody draws them: a cup of these stations in the middle, and a card at its left. */
export function startingHandles(
  stations: readonly Station[],
  { width, height }: { readonly width: number; readonly height: number },
): { readonly handles: CupHandles; readonly card: PicturePoint } {
  const [foot, rim] = [stations[0], stations[stations.length - 1]];
  const perMm = (FILLS * height) / heightOf({ stations });
  const half = ({ circumference }: Station) => (perMm * circumference) / Math.PI / 2;
  const [middle, top, bottom] = [width / 2, ((1 - FILLS) / 2) * height, ((1 + FILLS) / 2) * height];
  return {
    handles: {
      rimLeft: [middle - half(rim), top],
      rimRight: [middle + half(rim), top],
      footLeft: [middle - half(foot), bottom],
      footRight: [middle + half(foot), bottom],
    },
    card: [0.12 * width, 0.5 * height],
  };
}
