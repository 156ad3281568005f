import type { PlannedBlend } from '../blends';
import { deltaE2000, differenceWords, labOf, reflectanceOf } from '../colour';
import type { FoundMix } from '../match';
import type { ShelfItem } from '../stock';
import { MOST_COLOURS, type Palette, type PaletteColour, type PaletteId, type PaletteMix } from './palette';

/** The colours of all glitters on a shelf, each made of its own jar. */
export const paletteOfShelf = (id: PaletteId, name: string, shelf: readonly ShelfItem[]): Palette => ({
  id,
  name,
  colours: shelf
    .flatMap((item) => (item.kind === 'glitter' ? [item] : []))
    .slice(0, MOST_COLOURS)
    .map((item) => ({
      name: item.name.slice(0, 60),
      colour: item.flake.colour,
      mix: { parts: [{ item: item.id, name: item.name, ml: 1 }], colour: item.flake.colour, difference: 0 },
    })),
});

/** The colours that blends of a design are seen in, each with its blend. */
export const paletteOfBlends = (id: PaletteId, name: string, blends: readonly PlannedBlend[]): Palette => ({
  id,
  name: name.slice(0, 80),
  colours: blends
    .slice(0, MOST_COLOURS)
    .map(({ areaName, seen, parts }): PaletteColour => ({
      name: areaName.slice(0, 60),
      colour: seen,
      mix: {
        parts: parts.filter(({ missing }) => !missing).map(({ item, name: jar, ml }) => ({ item, name: jar, ml })),
        colour: seen,
        difference: 0,
      },
    }))
    .map((colour) => (colour.mix?.parts.length === 0 ? { ...colour, mix: null } : colour)),
});

/** A found mix as a palette keeps it. */
export const paletteMixOf = ({ parts, colour, difference }: FoundMix): PaletteMix => ({
  parts: parts.map(({ item, name, ml }) => ({ item, name, ml })),
  colour,
  difference: Number(difference.toFixed(3)),
});

/** The nearest two colours of a palette, in a sentence: two that look alike are seldom meant. */
export function nearestPair({ colours }: Palette): string | null {
  const labs = colours.map(({ colour }) => labOf(reflectanceOf(colour)));
  let best: { one: number; other: number; difference: number } | null = null;
  for (let one = 0; one < labs.length; one += 1)
    for (let other = one + 1; other < labs.length; other += 1) {
      const difference = deltaE2000(labs[one], labs[other]);
      if (!best || difference < best.difference) best = { one, other, difference };
    }
  if (!best) return null;
  const { word } = differenceWords(best.difference);
  return `Nearest to each other: ${colours[best.one].name} and ${colours[best.other].name}, ${best.difference.toFixed(1)} apart (${word}).`;
}
