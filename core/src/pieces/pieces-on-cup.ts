import type { Step } from '../coats';
import type { CoatId } from '../design';
import type { PlannedAreas } from '../layout';
import type { Look } from '../look';
import { itemOf, type ShelfItem } from '../stock';
import type { Cup } from '../vessel';
import { isPiece, pieceEdges, type PieceCoat, type PieceEdges } from './piece-edges';

/** What a coat lays on the cup as pieces: where, and what is seen there once all coats are on. */
export interface PlannedPiece extends PieceEdges {
  readonly coat: CoatId;
  readonly name: string;
  /** hex of a film that hides what is under it; null where one looks through it, or nobody says what it looks like */
  readonly hides: string | null;
  /** what later coats lay on it, at each place */
  readonly over: Readonly<Record<string, Look>>;
}

/**
 * All pieces, in the order they are laid. A film of known colour hides what is under it; what later coats lay on the place
 * lies on the film too.
 */
export const piecesOnCup = (
  steps: readonly Step[],
  cup: Cup,
  areas: PlannedAreas,
  shelf: readonly ShelfItem[],
): readonly PlannedPiece[] =>
  steps.flatMap((step): readonly PlannedPiece[] => {
    const { coat, planned } = step;
    if (!isPiece(coat)) return [];
    const over = laidSince(step, steps.at(-1)?.after ?? step.after);
    return [{ coat: coat.id, name: planned.title, ...pieceEdges(coat, cup, areas), hides: filmColour(coat, shelf), over }];
  });

/** Clear film shows what is under it; a tag has no film at all. */
function filmColour(coat: PieceCoat, shelf: readonly ShelfItem[]): string | null {
  const film = 'film' in coat && coat.film !== null ? itemOf(shelf, coat.film, 'film') : undefined;
  return film && film.type !== 'clear' ? film.colour : null;
}

const laidSince = ({ after }: Step, last: Step['after']): Readonly<Record<string, Look>> =>
  Object.fromEntries(Object.entries(last).map(([place, { look }]) => [place, layersSince(after[place].look, look)]));

/** What came on top; where paint took the place of all that was there, what lies there now. */
const layersSince = (before: Look, now: Look): Look =>
  before.every((layer, i) => now[i] === layer) ? now.slice(before.length) : now;
