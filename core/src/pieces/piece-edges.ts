import type { WallPlace } from '../areas';
import type { Coat, CoatOf } from '../design';
import type { PlannedAreas } from '../layout';
import { filling, placeMotif } from '../motif';
import { rememberEach } from '../remember';
import { bandRegion, inRegion, offLine, ontoOneTurn, wallLines, type Region, type WallPoint } from '../regions';
import { circumferenceAt, heightOf, stripAround, type Cup, type Station } from '../vessel';

/** Coats that are laid as pieces with edges of their own, where areas have none. */
export type PieceCoat = CoatOf<'strip' | 'outline' | 'decal' | 'sheet' | 'tag'>;

const kinds: readonly Coat['kind'][] = ['strip', 'outline', 'decal', 'sheet', 'tag'];
export const isPiece = (coat: Coat): coat is PieceCoat => kinds.includes(coat.kind);

/** Where a piece lies on the wall. */
export interface PieceEdges {
  readonly region: Region;
  /** mm: a line so wide along the region's edges, not what they hold; null of a piece that fills them */
  readonly line: number | null;
}

/**
 * Where a coat's pieces lie: a strip once round, an outline along the edges of its areas, all else as a flat sheet laid on
 * the wall, as often as it is repeated, evenly round. Nothing of what would hang over foot or rim.
 */
export const pieceEdges = rememberEach((coat: PieceCoat, cup: Cup, areas: PlannedAreas): PieceEdges => {
  switch (coat.kind) {
    case 'strip':
      return { region: stripRegion(coat, cup), line: null };
    case 'outline':
      return { region: outlinedAreas(coat, areas), line: coat.width };
    default:
      return { region: ontoOneTurn(anglesOf(coat).flatMap((angle) => sheetAt(coat, angle, cup))), line: null };
  }
}, 2);

/** Degrees from the seam to the middle of each of a coat's pieces, its own first. */
export const anglesOf = ({ angle, times }: CoatOf<'decal' | 'sheet' | 'tag'>): readonly number[] =>
  Array.from({ length: times }, (_, i) => (angle + (360 * i) / times) % 360);

function stripRegion({ centre, width }: CoatOf<'strip'>, { stations }: Cup): Region {
  const { from, to } = stripAround(stations, width, centre);
  return from < to ? bandRegion(from, to) : [];
}

/** An outline of everything goes round each area. */
const outlinedAreas = ({ on }: CoatOf<'outline'>, { areas }: PlannedAreas): Region =>
  areas.filter(({ id }) => on === 'all' || on.includes(id)).flatMap(({ region }) => region);

function sheetAt(coat: CoatOf<'decal' | 'sheet' | 'tag'>, angle: number, { stations }: Cup): ReturnType<typeof placeMotif> {
  const { width, height, centre } = coat;
  if (centre > heightOf({ stations })) return [];
  const shape = filling(coat.kind === 'decal' ? coat.outline : null, height / width);
  return placeMotif(shape, { angle, height: centre, width, turn: 0 }, stations);
}

/** Whether a piece lies over a spot of the wall. */
export function pieceHolds({ region, line }: PieceEdges, { angle, height }: WallPlace, stations: readonly Station[]): boolean {
  if (line === null) return inRegion(region, angle, height);
  const perDegree = circumferenceAt(stations, Math.min(heightOf({ stations }), Math.max(0, height))) / 360;
  // Short edges: flat at this height's own scale.
  const flat = ([round, up]: WallPoint) => [round * perDegree, up] as const;
  return wallLines(region, stations).some((edge) =>
    edge.some((to, i) => i > 0 && offLine(flat([angle, height]), flat(edge[i - 1]), flat(to)) <= line / 2),
  );
}
