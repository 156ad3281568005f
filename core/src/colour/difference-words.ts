/** What a difference is to the eye. */
export interface DifferenceWords {
  readonly word: 'no visible difference' | 'slight difference' | 'clear difference' | 'far apart';
  readonly says: string;
}

/** ΔE00 up to which each word holds: side by side few eyes part 2, across a table most part 10 (CIE 142, and practice). */
const steps: readonly { readonly below: number; readonly words: DifferenceWords }[] = [
  { below: 2, words: { word: 'no visible difference', says: 'no eye parts them' } },
  { below: 5, words: { word: 'slight difference', says: 'a difference side by side, none apart' } },
  { below: 10, words: { word: 'clear difference', says: 'a difference from arm’s length' } },
  { below: Infinity, words: { word: 'far apart', says: 'two colours from across a table' } },
];

/** A colour difference in a word. */
export const differenceWords = (deltaE: number): DifferenceWords =>
  (steps.find(({ below }) => deltaE < below) ?? steps[steps.length - 1]).words;
