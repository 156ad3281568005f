import type { InkEffect } from '../ink';
import type { InkSureness } from '../stock';
import { checkDab } from './dab-faults';
import { fitInk, type FittedInk } from './fit-ink';
import type { ColourReading, FilmReading, InkDab } from './ink-dab';

/** What a dab says of an ink. */
export interface DabReading extends FittedInk {
  readonly sure: InkSureness;
  /** what would make it surer, in a sentence that keeps its word */
  readonly narrows: string;
  /** the type it looks more like than the one it is said to be; null where it looks as it should */
  readonly looksLike: InkEffect['type'] | null;
}

/** One standard deviation of a colour by how it was read, ΔE00; of a film and of a measured ml of resin by how it was measured. */
const COLOUR: Readonly<Record<ColourReading, number>> = { eye: 4, photo: 5, card: 1.5 };
const FILM: Readonly<Record<FilmReading, (film: number) => number>> = {
  guess: () => 0.3,
  spread: () => 0.12,
  gauge: (film) => 0.02 / film,
};
const RESIN_ML = 0.2;
/** Of one drop against the others of its bottle; what they are on average stays the same for every coat. */
const DROP = 0.12;
/** ΔE00 from which a dab doesn't look as its type would, and by which another must come nearer to be named. */
const UNLIKE = 5;
const NEARER = 2;

/**
 * Reads an ink's colour and strength off a dab of it.
 * @param hiding of the ink as it was known
 * @throws DabError where nothing can be learnt from it
 */
export function readDab(dab: InkDab, hiding: number): DabReading {
  checkDab(dab);
  const fit = fitInk(dab, hiding);
  return { ...fit, sure: surenessOf(dab, fit.away), narrows: narrowsOf(dab, fit.away), looksLike: betterType(dab, hiding, fit) };
}

function surenessOf(dab: InkDab, away: number): InkSureness {
  const { drops, resinMl, film, filmBy, seenBy } = dab;
  return {
    colour: Math.hypot(COLOUR[seenBy], away / 2),
    strength: Math.hypot(FILM[filmBy](film), DROP / Math.sqrt(drops), RESIN_ML / resinMl),
  };
}

/** What the maker could do otherwise next time, and what that dab would be. */
const betterDabs: readonly { readonly says: string; readonly better: (dab: InkDab) => InkDab }[] = [
  { says: 'A photo with a white or grey card in it would make its colour surer.', better: (dab) => ({ ...dab, seenBy: 'card' }) },
  {
    says: 'Measure the cured dab with a gauge: how thick it is, is the least sure of it.',
    better: (dab) => ({ ...dab, filmBy: 'gauge' }),
  },
  {
    says: 'Stir twice the drops into twice the resin: uneven drops and a small measure are the least sure of it.',
    better: (dab) => ({ ...dab, drops: 2 * dab.drops, resinMl: 2 * dab.resinMl }),
  },
];

function narrowsOf(dab: InkDab, away: number): string {
  if (dab.type === 'pigment' && dab.overBlack === null)
    return 'How much it hides stays as it was: a dab over a black line would tell.';
  const now = surenessOf(dab, away);
  const gains = betterDabs.map(({ says, better }) => {
    const then = surenessOf(better(dab), away);
    return { says, left: (then.colour / now.colour) * (then.strength / now.strength) };
  });
  return gains.reduce((best, one) => (one.left < best.left ? one : best)).says;
}

function betterType(dab: InkDab, hiding: number, { away }: FittedInk): InkEffect['type'] | null {
  if (dab.overBlack === null || away < UNLIKE) return null;
  const others = (['dye', 'pigment', 'pearl'] as const)
    .filter((type) => type !== dab.type)
    .map((type) => {
      const fit = fitInk({ ...dab, type }, hiding);
      return { type, away: fit.away };
    })
    .sort((one, other) => one.away - other.away);
  return others[0].away < away - NEARER ? others[0].type : null;
}
