import { without } from './clip';
import { boxOf, edgesCross, inPolygon, touches, type Box, type Region, type RegionPolygon } from './region';

interface Piece {
  readonly polygon: RegionPolygon;
  readonly box: Box;
  /** polygons of one layer never overlap each other */
  readonly layer: number;
}

/**
 * What each region keeps when later ones lie on earlier ones.
 * @param regions in the order they are laid
 * @returns as many regions, none overlapping another
 */
export function laidOver(regions: readonly Region[]): readonly Region[] {
  const kept: Region[] = [];
  let later: readonly Piece[] = [];
  regions
    .map((region, layer) => ({ region, layer }))
    .reverse()
    .forEach(({ region, layer }) => {
      kept.unshift(minusPieces(region, later));
      later = [...later, ...piecesOf(region, layer)];
    });
  return kept;
}

/** What of a region none of the others covers. */
export const leftOf = (region: Region, others: readonly Region[]): Region => minusPieces(region, others.flatMap(piecesOf));

const piecesOf = (region: Region, layer: number): readonly Piece[] =>
  region.map((polygon) => ({ polygon, box: boxOf(polygon[0]), layer }));

/**
 * A region without later pieces. Most pieces are motifs that lie clear of every line: those are
 * simply holes, and only what meets a line is handed to the clipping.
 */
function minusPieces(region: Region, later: readonly Piece[]): Region {
  return region.flatMap((polygon) => {
    const box = boxOf(polygon[0]);
    const meeting: Piece[] = [];
    const islands: Piece[] = [];
    for (const piece of later) {
      if (!touches(piece.box, box)) continue;
      if (!edgesCross(polygon, piece.box)) {
        if (holds(polygon, piece.polygon)) islands.push(piece);
      } else if (edgesCross(piece.polygon, box)) {
        meeting.push(piece);
      } else if (holds(piece.polygon, polygon)) {
        return [];
      }
    }
    return cutOut(polygon, meeting, islands);
  });
}

/** For polygons whose edges keep clear of each other: whether one lies in the other. */
const holds = (outer: RegionPolygon, inner: RegionPolygon): boolean => inPolygon(outer, inner[0][0][0], inner[0][0][1]);

function cutOut(polygon: RegionPolygon, meeting: readonly Piece[], inside: readonly Piece[]): Region {
  const { islands, others } = sortIslands(inside, meeting);
  const rest = without(
    [polygon],
    others.map((piece) => [piece.polygon]),
  );
  return withHoles(rest, islands);
}

/** Islands touch no other piece; one that lies inside another is covered by it and can be forgotten. */
function sortIslands(
  inside: readonly Piece[],
  meeting: readonly Piece[],
): { islands: readonly Piece[]; others: readonly Piece[] } {
  const islands: Piece[] = [];
  const others: Piece[] = [...meeting];
  const sorted = [...inside].sort((a, b) => a.box.left - b.box.left);
  const touching = new Set<Piece>();
  sorted.forEach((piece, i) => {
    for (let j = i + 1; j < sorted.length && sorted[j].box.left <= piece.box.right; j += 1) {
      if (piece.layer === sorted[j].layer || !touches(piece.box, sorted[j].box)) continue;
      touching.add(piece);
      touching.add(sorted[j]);
    }
  });
  for (const piece of sorted) {
    const met = meeting.filter((other) => touches(other.box, piece.box));
    const clear = met.every((other) => !edgesCross(other.polygon, piece.box));
    if (clear && met.some((other) => holds(other.polygon, piece.polygon))) continue;
    if (touching.has(piece) || !clear) others.push(piece);
    else islands.push(piece);
  }
  return { islands, others };
}

/** Each island lies wholly in one polygon: its outline becomes a hole there, and its own holes come back as land. */
function withHoles(region: Region, islands: readonly Piece[]): Region {
  if (islands.length === 0) return region;
  const holes: RegionPolygon[][] = region.map(() => []);
  const boxes = region.map((polygon) => boxOf(polygon[0]));
  const land: RegionPolygon[] = [];
  for (const { polygon, box } of islands) {
    const host = region.findIndex((one, i) => touches(boxes[i], box) && holds(one, polygon));
    if (host < 0) continue;
    holes[host].push(polygon);
    for (const inner of polygon.slice(1)) land.push([inner]);
  }
  return [...region.map((polygon, i) => [...polygon, ...holes[i].map(([outline]) => outline)]), ...land];
}
