import type { InkEffect } from '../ink';

/** How a dab's film was measured, and how its colours were read. */
export const filmReadings = ['guess', 'spread', 'gauge'] as const;
export type FilmReading = (typeof filmReadings)[number];
export const colourReadings = ['eye', 'photo', 'card'] as const;
export type ColourReading = (typeof colourReadings)[number];

/** A test dab: some drops of an ink in clear resin, spread over a white card with a black line on it, and cured. */
export interface InkDab {
  readonly type: InkEffect['type'];
  readonly drops: number;
  /** ml of one drop or scoop */
  readonly dropMl: number;
  /** ml of mixed resin they were stirred into */
  readonly resinMl: number;
  /** mm */
  readonly film: number;
  readonly filmBy: FilmReading;
  /** hex of the card, of the dab on it, of the line, and of the dab on that; the last null where there is no line */
  readonly white: string;
  readonly overWhite: string;
  readonly black: string;
  readonly overBlack: string | null;
  /** by eye on this screen, from a photo as it is, or from one set right by a white or grey card in it */
  readonly seenBy: ColourReading;
  /** the workshop tells colours through gloss: the dab is glossy too, the bare card and the bare line aren't */
  readonly gloss: boolean;
}

/** Nothing can be learnt from this dab; the sentence says what to do. */
export class DabError extends Error {
  override readonly name = 'DabError';
}

/** What is usual on a bench: copier paper, and a line of black marker. */
export const USUAL_CARD = '#f4f4f2';
export const USUAL_LINE = '#1c1c1e';

/** % of the resin. */
export const dabLoad = ({ drops, dropMl, resinMl }: Pick<InkDab, 'drops' | 'dropMl' | 'resinMl'>): number =>
  (drops * dropMl * 100) / resinMl;

/** Film of a dab that was spread evenly. @param ml of it @param area cm² @returns mm */
export const spreadFilm = (ml: number, area: number): number => (10 * ml) / area;
