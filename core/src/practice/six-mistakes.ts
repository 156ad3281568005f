import { glueOnSoftGlue, pieceOffTheCup, recoatWindow, sandCured, scuffed, thickFilm } from '../check';
import { startingCoat, withCoat } from '../coats';
import type { CoatId, CoatKindName, CoatOf, Design, Workshop } from '../design';
import { startingDesign } from '../design';
import { withJar } from '../plan';
import { suggestedDesign } from '../suggest';
import { heightOf, type Cup } from '../vessel';

/** The rules that speak up, a mistake each. */
export const MISTAKES: readonly string[] = [scuffed, sandCured, glueOnSoftGlue, recoatWindow, thickFilm, pieceOffTheCup].map(
  ({ name }) => name,
);

/** mm of a coat that runs on any cup, and hours that a window closes in. */
const TOO_THICK = 1.2;
const TOO_LONG = 30;

/** Whether a shelf has what the practice is laid with. */
export const canPractise = ({ shelf }: Pick<Workshop, 'shelf'>): boolean =>
  (['glitter', 'glue', 'resin', 'paint'] as const).every((kind) => shelf.some((item) => item.kind === kind));

/**
 * A plan on a maker's own cup, of their own shelf, that would ruin it in six ways.
 * @param newId a fresh id for the design, its areas and coats
 * @throws never; a shelf that lacks something is told by `canPractise` before
 */
export function sixMistakes(cup: Cup, workshop: Workshop, newId: () => string): Design {
  const top = heightOf(cup) - cup.lipStrip;
  const level = (mm: number) => ({ level: { by: 'foot' as const, mm: Math.round(mm) }, teeth: null });
  const band = (name: string, from: number, to: number): Design['areas'][number] => ({
    kind: 'band',
    id: newId() as Design['areas'][number]['id'],
    name,
    locked: false,
    masked: false,
    lower: level(from),
    upper: level(to),
  });
  const areas = [band('Lower band', 0, top / 2), band('Upper band', top / 2, top)];
  const jars = workshop.shelf.filter(({ kind }) => kind === 'glitter');
  let design: Design = { ...startingDesign(newId(), 'Practice: six mistakes', cup), areas };
  areas.forEach(({ id }, i) => (design = withJar(design, id, jars[i % jars.length].id, workshop)));
  return {
    ...spoilt(suggestedDesign(design, workshop, newId), workshop, newId),
    practice: { kind: 'mistakes', rules: [...MISTAKES] },
  };
}

function spoilt(sound: Design, workshop: Workshop, newId: () => string): Design {
  const begun = <Kind extends CoatKindName>(kind: Kind): CoatOf<Kind> => startingCoat(kind, sound, workshop, newId() as CoatId);
  const films = sound.coats.filter(({ kind }) => kind === 'resin');
  const glue = sound.coats.find(({ kind }) => kind === 'glue');
  const [first, last] = [films[0], films[films.length - 1]];
  // Nothing is scuffed; cured resin is left to stand and isn't sanded; the last coat is far too thick.
  const between = sound.coats.slice(sound.coats.indexOf(first), sound.coats.indexOf(last));
  const coats = sound.coats
    .filter((coat) => coat.kind !== 'prep' && !(between.includes(coat) && (coat.kind === 'sand' || coat.kind === 'rim')))
    .map((coat) => (coat === last && coat.kind === 'resin' ? { ...coat, thickness: TOO_THICK } : coat));
  let design: Design = { ...sound, coats };
  design = withCoat(design, { ...begun('rest'), hours: TOO_LONG }, last.id);
  if (glue) {
    design = withCoat(design, { ...glue, id: newId() as CoatId }, glue.id);
    design = withCoat(design, begun('sand'), design.coats.find(({ kind }) => kind === 'glue')?.id ?? null);
  }
  return withCoat(design, { ...begun('tag'), name: 'Town plaque', width: 700 }, last.id);
}
