import { throughGloss, type Ground, type Step } from '../coats';
import { isFilm, type CoatId, type Workshop } from '../design';
import type { PlannedAreas } from '../layout';
import { glossLook, type Look } from '../look';
import { itemOf, type ItemOf, type ShelfItem } from '../stock';
import type { Cup } from '../vessel';
import { isPiece, pieceEdges, type PieceCoat, type PieceEdges } from './piece-edges';

/** What a coat lays on the cup as pieces: where, and what is seen there once all coats are on. */
export interface PlannedPiece extends PieceEdges {
  readonly coat: CoatId;
  readonly name: string;
  /** hex of a film that hides what is under it; null where one looks through it, or nobody says what it looks like */
  readonly hides: string | null;
  /** mm it stands on what is under it; 0 where nobody says what it is cut from */
  readonly mm: number;
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
  { shelf, settings }: Pick<Workshop, 'shelf' | 'settings'>,
): readonly PlannedPiece[] =>
  steps.flatMap((step, at): readonly PlannedPiece[] => {
    const { coat, planned } = step;
    if (!isPiece(coat)) return [];
    const glossy = (place: string, ground: Ground) =>
      throughGloss(ground, settings) && steps.slice(at + 1).some((later) => closesOver(later, place));
    const over = Object.fromEntries(
      Object.entries(steps.at(-1)?.after ?? step.after).map(([place, ground]) => {
        const layers = layersSince(step.after[place].look, ground.look);
        return [place, glossy(place, ground) ? [...layers, glossLook] : layers];
      }),
    );
    return [
      {
        coat: coat.id,
        name: planned.title,
        ...pieceEdges(coat, cup, areas),
        hides: filmColour(coat, shelf),
        mm: heightOfPiece(coat, shelf),
        over,
      },
    ];
  });

/** A film's own thickness, or how far a tag stands up. */
const heightOfPiece = (coat: PieceCoat, shelf: readonly ShelfItem[]): number =>
  coat.kind === 'tag' ? coat.raised : (filmOf(coat, shelf)?.thickness ?? 0) / 1000;

const filmOf = (coat: PieceCoat, shelf: readonly ShelfItem[]): ItemOf<'film'> | undefined =>
  'film' in coat && coat.film !== null ? itemOf(shelf, coat.film, 'film') : undefined;

/** Clear film shows what is under it; a tag has no film at all. */
function filmColour(coat: PieceCoat, shelf: readonly ShelfItem[]): string | null {
  const film = filmOf(coat, shelf);
  return film && film.type !== 'clear' ? film.colour : null;
}

/** Whether a coat spreads resin over a place. */
const closesOver = ({ coat, before, after }: Step, place: string): boolean =>
  isFilm(coat) && after[place].thickness > before[place].thickness;

/** What came on top; where paint took the place of all that was there, what lies there now. */
const layersSince = (before: Look, now: Look): Look =>
  before.every((layer, i) => now[i] === layer) ? now.slice(before.length) : now;
