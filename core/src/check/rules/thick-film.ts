import { thicknessText } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

/** mm at once beyond which resin runs on a turning cup. */
const RUNS = 0.8;

export const thickFilm: Rule = {
  name: 'film that runs',
  find: (facts) =>
    stepsOfKind(facts, 'resin', 'ink')
      .filter(({ coat }) => coat.thickness > RUNS)
      .map(({ coat }) => ({
        level: 'stop',
        coat: coat.id,
        area: null,
        says: `A film of ${thicknessText(coat.thickness)} at once runs to the foot.`,
        why: 'Over 0.8 mm resin is heavier than its own grip; two thinner coats lie smooth.',
        fix: { does: 'set thickness', label: 'Make it 0.40 mm', coat: coat.id, thickness: 0.4 },
      })),
};
