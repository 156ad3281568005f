import { inksOf, isFilm } from '../../design';
import { hasSolvent } from '../../ink';
import { itemOf } from '../../stock';
import { stepsOfKind, type Rule } from '../finding';

/** A flame for the bubbles of a coat that lies on ink which hasn’t cured. */
export const flameOverInk: Rule = {
  name: 'flame over soft ink',
  find: (facts) => {
    if (facts.workshop.settings.bubbles !== 'flame') return [];
    return stepsOfKind(facts, 'ink', 'strings').flatMap(({ coat, index, planned }) => {
      // An ink that is gone may have been any.
      const burns = inksOf(coat).some(({ ink }) => {
        const item = itemOf(facts.workshop.shelf, ink, 'ink');
        return item === undefined || hasSolvent(item);
      });
      if (!burns) return [];
      const after = facts.steps.slice(index + 1);
      const film = after.findIndex((step) => step.coat.kind === 'resin');
      const cures = after.slice(0, Math.max(0, film)).some(({ coat: { kind } }) => kind === 'sand' || kind === 'rest');
      if (film < 0 || cures || after.slice(0, film).some((step) => isFilm(step.coat))) return [];
      return [
        {
          level: 'stop' as const,
          coat: after[film].coat.id,
          area: null,
          says: `A flame passes over “${planned.title}” before it has cured.`,
          why: 'Many inks are thinned with alcohol, which burns until it has left the resin. Let it cure and sand it, or take warm air or patience for the bubbles of this design.',
          fix: {
            does: 'insert coat' as const,
            label: 'Let it cure and sand it first',
            kind: 'sand' as const,
            before: after[film].coat.id,
          },
        },
      ];
    });
  },
};
