import type { WallPlace } from '../areas';
import { glossed, hexOf, layOver, reflectanceOf, type Spectrum } from '../colour';
import type { Look } from '../look';
import { pieceHolds, type PlannedPiece } from '../pieces';
import type { Plan } from '../plan';
import type { Station } from '../vessel';
import { sectionOf, type Section, type SectionLayer } from './section';
import { placeAt, type SpotPlace } from './spot';

/** All coats at a spot of the wall, and which place that is. */
export interface SpotSection extends Section {
  readonly place: SpotPlace;
}

const BARE: Section = { layers: [], thickness: 0 };

/** Cuts the coats through at a spot, pieces that lie there among them. */
export function sectionAt(plan: Plan, spot: WallPlace, stations: readonly Station[]): SpotSection {
  const place = placeAt(plan, spot);
  if (place.id === null) return { place, ...BARE };
  const section = sectionOf(plan, place.id);
  const here = plan.pieces.filter((piece) => pieceHolds(piece, spot, stations));
  const { layers, thickness } = here.reduce((under, piece) => withPiece(under, piece, place.id ?? '', plan), section);
  return { place, layers, thickness };
}

function withPiece({ layers, thickness }: Section, piece: PlannedPiece, place: string, plan: Plan): Section {
  const at = plan.coats.findIndex(({ id }) => id === piece.coat);
  const coat = plan.coats[at];
  const below = layers.filter(({ number }) => number <= at);
  const seen = piece.hides ?? below.at(-1)?.seen ?? plan.bareWall;
  const tints = seen !== (below.at(-1)?.seen ?? plan.bareWall);
  const own: SectionLayer = { coat: coat.id, number: at + 1, kind: coat.kind, title: coat.title, mm: piece.mm, seen, tints };
  const above = layers.slice(below.length);
  return {
    layers: [
      ...below,
      own,
      ...(piece.hides === null
        ? above
        : onFilm(piece.hides, above, { over: piece.over[place], throughGloss: plan.throughGloss })),
    ],
    thickness: thickness + piece.mm,
  };
}

/** What is seen of the coats over a film that hides what is under it: films tint it; flakes and paint lie on it as anywhere. */
function onFilm(
  hides: string,
  above: readonly SectionLayer[],
  { over, throughGloss }: { readonly over: Look; readonly throughGloss: boolean },
): readonly SectionLayer[] {
  const looks = [...over];
  let spectrum: Spectrum | null = reflectanceOf(hides);
  let glossy = false;
  return above.map((layer) => {
    const look = layer.tints ? looks.shift() : undefined;
    if (look) spectrum = look.layer === 'film' && spectrum !== null ? layOver(look.film, spectrum) : null;
    glossy ||= throughGloss && (layer.kind === 'resin' || layer.kind === 'ink');
    return spectrum === null ? layer : { ...layer, seen: hexOf(glossy ? glossed(spectrum) : spectrum) };
  });
}
