import { mixLines, type Palette } from './palette';

/** A field of a card: colour, its name and what it is mixed of. mm from the card's upper left corner. */
export interface CardChip {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly colour: string;
  readonly name: string;
  readonly hex: string;
  /** what it is mixed of, in lines; none where no mix is known */
  readonly mix: readonly string[];
}

/** A card of colours at true size, mm. */
export interface SwatchCard {
  readonly width: number;
  readonly height: number;
  readonly title: string;
  readonly chips: readonly CardChip[];
}

/** A playing card's width of chips: large enough to hold against a cup, mm. */
const CHIP = { width: 44, height: 26, words: 21 };
/** letters of a recipe on a line under a chip */
const LETTERS = 34;
const GAP = 5;
const MARGIN = 8;
const TITLE = 12;
const ACROSS = 4;

/** Lays a palette out as a card: up to four chips across, each 44 × 26 mm with its words below. */
export function swatchCard({ name, colours }: Palette): SwatchCard {
  const across = Math.min(ACROSS, colours.length);
  const down = Math.ceil(colours.length / across);
  const pitch = CHIP.height + CHIP.words;
  return {
    width: 2 * MARGIN + across * CHIP.width + (across - 1) * GAP,
    height: 2 * MARGIN + TITLE + down * pitch,
    title: name,
    chips: colours.map((one, i) => ({
      x: MARGIN + (i % across) * (CHIP.width + GAP),
      y: MARGIN + TITLE + Math.floor(i / across) * pitch,
      width: CHIP.width,
      height: CHIP.height,
      colour: one.mix?.colour ?? one.colour,
      name: one.name,
      hex: one.mix?.colour ?? one.colour,
      mix: one.mix ? mixLines(one.mix, LETTERS) : [],
    })),
  };
}
