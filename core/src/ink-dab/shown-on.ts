import { glossed, hexOf, layOver, reflectanceOf } from '../colour';
import { inkFilm, type InkEffect } from '../ink';
import { inkRests, inkSureness, type InkBasis, type InkSureness } from '../stock';
import { percentText, thicknessText } from '../units';
import { USUAL_CARD, USUAL_LINE } from './ink-dab';

/** An ink at its reference load and film over a white card and over a black line, hex. */
export function inkOnCard(ink: InkEffect, gloss: boolean): { readonly white: string; readonly black: string } {
  const film = inkFilm(ink, ink.referenceLoad, ink.referenceFilm);
  const over = (ground: string) => {
    const seen = layOver(film, reflectanceOf(ground));
    return hexOf(gloss ? glossed(seen) : seen);
  };
  return { white: over(USUAL_CARD), black: over(USUAL_LINE) };
}

/** How sure an ink's swatch is, and what would make it surer. */
export function inkSureWords(ink: { readonly basis: InkBasis; readonly sure?: InkSureness | undefined }): string {
  const { colour, strength } = inkSureness(ink);
  return `Colour ± ${colour.toFixed(1)} ΔE00, strength ± ${percentText(strength)}. ${inkRests(ink.basis)}`;
}

/** Which load and film a swatch shows. */
export const swatchWords = ({ referenceLoad, referenceFilm }: InkEffect): string =>
  `${percentText(referenceLoad / 100, 1)} in ${thicknessText(referenceFilm)}`;
