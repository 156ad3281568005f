import { dyeTint, filmOf, pearlTint, pigmentTint, type Film, type Tint } from '../colour';

/** How an ink colours resin; amounts are against `referenceLoad` % at `referenceFilm` mm. */
export interface InkEffect {
  readonly type: 'dye' | 'pigment' | 'pearl';
  readonly colour: string;
  /** hiding of a pigment or strength of a pearl, above 0 and below 1; a dye has none */
  readonly hiding: number;
  readonly referenceLoad: number;
  readonly referenceFilm: number;
}

/**
 * What an ink does to the resin it is stirred into.
 * @param load % of the resin's volume
 * @param thickness mm
 */
export function inkTint(ink: InkEffect, load: number, thickness: number): Tint {
  const amount = (load * thickness) / (ink.referenceLoad * ink.referenceFilm);
  switch (ink.type) {
    case 'dye':
      return dyeTint(ink.colour, amount);
    case 'pigment':
      return pigmentTint(ink.colour, ink.hiding, amount);
    case 'pearl':
      return pearlTint(ink.colour, ink.hiding, amount);
  }
}

/** Resin with an ink in it, at a load, % of the resin. */
export interface InkedPot {
  readonly ink: InkEffect;
  readonly load: number;
}

/** The film of pots that have run into each other, so thick of each, mm; of none a clear one. */
export const runTogether = (pots: readonly InkedPot[], thick: readonly number[]): Film =>
  filmOf(pots.flatMap(({ ink, load }, i) => (thick[i] > 0 ? [inkTint(ink, load, thick[i])] : [])));

/** The film of resin with some inks in one pot, each at its load; of none a clear one. */
export const potFilm = (inks: readonly InkedPot[], thickness: number): Film =>
  runTogether(
    inks,
    inks.map(() => thickness),
  );

/** The tinted film of one ink. */
export const inkFilm = (ink: InkEffect, load: number, thickness: number): Film => potFilm([{ ink, load }], thickness);

/** % of the resin beyond which ink is too much to be offered; the check says so too. */
export const MOST_OFFERED_LOAD = 5;
/** Drops that anybody counts out. */
export const MOST_DROPS = 90;

/**
 * Whole drops for a load, and the load they really make.
 * @param load % wanted, 0 or more; above 0 gives at least one drop
 * @param resinMl mixed resin
 * @param dropMl volume of one drop, above zero
 */
export function dropsFor(load: number, resinMl: number, dropMl: number): { drops: number; load: number } {
  const exact = ((load / 100) * resinMl) / dropMl;
  const drops = load > 0 ? Math.max(1, Math.round(exact)) : 0;
  return { drops, load: resinMl > 0 ? (drops * dropMl * 100) / resinMl : 0 };
}
