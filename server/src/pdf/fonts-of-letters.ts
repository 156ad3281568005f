import { openSync } from 'fontkit';
import { otherFonts, ourFonts, printedFonts, type FontName } from './printed-fonts';

/** A stretch of text that one font has all letters of; none where ours do, or where no font has one. */
export interface Stretch {
  readonly text: string;
  readonly font: FontName | null;
}

const known = new Map<FontName, ReadonlySet<number>>();

/** The code points a font has a shape for. */
function shapesOf(font: FontName): ReadonlySet<number> {
  const had = known.get(font);
  if (had) return had;
  const file = openSync(printedFonts[font].normal);
  const shapes = new Set('characterSet' in file ? file.characterSet : []);
  known.set(font, shapes);
  return shapes;
}

/* What only says how its neighbours are to be shaped: a font that lacks it shapes them all the same. */
const SHAPING = /[\p{Default_Ignorable_Code_Point}\p{Emoji_Modifier}]/u;

const hasAll = (font: FontName, text: string): boolean =>
  [...text].every((letter) => SHAPING.test(letter) || shapesOf(font).has(letter.codePointAt(0) ?? 0));

const graphemes = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

const isOurs = (text: string): boolean => ourFonts.every((font) => hasAll(font, text));
/** The first of the other fonts that has all of a text. */
const otherFor = (text: string): FontName | null => otherFonts.find((font) => hasAll(font, text)) ?? null;
const stretchOf = (text: string): Stretch => ({ text, font: isOurs(text) ? null : otherFor(text) });

/** A word in one font, where one has all of it; else each letter in the first that has it. Spaces are ours. */
function ofWord(word: string): readonly Stretch[] {
  if (/^\s*$/.test(word)) return [{ text: word, font: null }];
  const whole = stretchOf(word);
  if (whole.font || isOurs(word)) return [whole];
  return [...graphemes.segment(word)].map(({ segment }) => stretchOf(segment));
}

/** Written from right to left. */
const FROM_RIGHT = new Set<FontName | null>(['Noto Sans Hebrew', 'Noto Sans Arabic']);

/**
 * A text in stretches of a font each, the same letter for letter but for spaces between words that are written from right to
 * left: no line is broken there, so that the words stay in their order.
 */
export function stretchesOf(text: string): readonly Stretch[] {
  const stretches: Stretch[] = [];
  for (const one of text.split(/(\s+)/).flatMap(ofWord)) {
    const [before, last] = [stretches.at(-2), stretches.at(-1)];
    if (last && last.font === one.font) stretches.splice(-1, 1, { text: last.text + one.text, font: one.font });
    else if (FROM_RIGHT.has(one.font) && before?.font === one.font && last?.text === ' ')
      stretches.splice(-2, 2, { text: `${before?.text}\u00a0${one.text}`, font: one.font });
    else stretches.push(one);
  }
  return stretches;
}
