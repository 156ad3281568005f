import { OffTheCupError, piecesOf, radiusOf, type Station } from './station';

/**
 * The tape's reading at a height, straight between stations.
 * @param height mm above the foot
 * @returns mm
 * @throws OffTheCupError when the height is below the foot or above the rim
 */
export function circumferenceAt(stations: readonly Station[], height: number): number {
  for (const [lower, upper] of piecesOf(stations)) {
    if (height >= lower.height && height <= upper.height) {
      const share = (height - lower.height) / (upper.height - lower.height);
      return lower.circumference + share * (upper.circumference - lower.circumference);
    }
  }
  throw new OffTheCupError(`There is no wall at ${height} mm on this cup.`);
}

/**
 * The wall between two heights: a sum of cone pieces, π(ra+rb)·√(Δh²+(rb−ra)²) each.
 * @param from mm, the foot when left out
 * @param to mm, the rim when left out
 * @returns cm²; 0 when `to` is not above `from`
 */
export function wallArea(stations: readonly Station[], from = 0, to = Infinity): number {
  let mm2 = 0;
  for (const cut of cutPieces(stations, from, to)) {
    mm2 += Math.PI * (cut.lowerRadius + cut.upperRadius) * cut.slant;
  }
  return mm2 / 100;
}

/** The disc under the cup, cm². */
export function baseArea(stations: readonly Station[]): number {
  return (Math.PI * radiusOf(stations[0].circumference) ** 2) / 100;
}

/** How far it is along the wall from one height to another, mm. */
export function wallLength(stations: readonly Station[], from: number, to: number): number {
  return cutPieces(stations, from, to).reduce((sum, cut) => sum + cut.slant, 0);
}

/** How far along the wall, mm from the foot, to the height it is reached at. The inverse of `wallLength` from the foot. */
export function heightAtWallLength(stations: readonly Station[], along: number): number {
  let before = 0;
  const cuts = piecesOf(stations);
  for (const [index, [lower, upper]] of cuts.entries()) {
    const rise = upper.height - lower.height;
    const slant = Math.hypot(rise, radiusOf(upper.circumference) - radiusOf(lower.circumference));
    if (along <= before + slant || index === cuts.length - 1) return lower.height + ((along - before) / slant) * rise;
    before += slant;
  }
  return 0;
}

/** What the stations enclose, ml: truncated cones. The wall's own thickness isn't taken off. */
export function enclosedVolume(stations: readonly Station[]): number {
  const mm3 = cutPieces(stations, 0, Infinity).reduce(
    (sum, { lowerRadius: a, upperRadius: b, rise }) => sum + (Math.PI * rise * (a * a + a * b + b * b)) / 3,
    0,
  );
  return mm3 / 1000;
}

interface CutPiece {
  readonly lowerRadius: number;
  readonly upperRadius: number;
  readonly rise: number;
  readonly slant: number;
}

function cutPieces(stations: readonly Station[], from: number, to: number): readonly CutPiece[] {
  const cuts: CutPiece[] = [];
  for (const [lower, upper] of piecesOf(stations)) {
    const bottom = Math.max(from, lower.height);
    const top = Math.min(to, upper.height);
    if (top <= bottom) continue;
    const slope = (upper.circumference - lower.circumference) / (upper.height - lower.height);
    const lowerRadius = radiusOf(lower.circumference + slope * (bottom - lower.height));
    const upperRadius = radiusOf(lower.circumference + slope * (top - lower.height));
    const rise = top - bottom;
    cuts.push({ lowerRadius, upperRadius, rise, slant: Math.hypot(rise, upperRadius - lowerRadius) });
  }
  return cuts;
}
