import type { GradedWish, Pattern } from './pattern';

/** Classes that lead from one pot over into the next. */
const BETWEEN = 5;

/** How far on from pot to pot each class of such a wall is: 0 the lowest, 1 the one above it, in between where they run together. */
export const gradedClasses = ({ meet }: Pick<GradedWish, 'meet'>): readonly number[] =>
  Array.from({ length: meet.length * (BETWEEN + 1) + 1 }, (_, own) => own / (BETWEEN + 1));

/** Pots above each other, each drawn into the next: no farther than half of the lower of the two goes. */
export function graded({ meet, drawn, tall }: GradedWish): Pattern {
  const ends = [0, ...meet, tall];
  const by = meet.map((level, i) => Math.min(drawn, (level - ends[i]) / 2, (ends[i + 2] - level) / 2));
  return {
    classes: gradedClasses({ meet }).length,
    classAt(_turn, up) {
      let past = 0;
      for (let i = 0; i < meet.length; i += 1) {
        const on = by[i] > 0 ? (up - meet[i] + by[i]) / (2 * by[i]) : up < meet[i] ? 0 : 1;
        if (on <= 0) break;
        // The pots themselves are classes too: what leads over lies between them.
        past += on >= 1 ? BETWEEN + 1 : Math.min(BETWEEN, 1 + Math.floor(on * BETWEEN));
      }
      return past;
    },
  };
}
