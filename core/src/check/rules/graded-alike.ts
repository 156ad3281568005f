import { deltaE2000, labOf } from '../../colour';
import { ungraded } from '../../design';
import { stepsOfKind, type Rule } from '../finding';

/** ΔE00 under which a change over the wall isn't seen as one; the same as of fades. */
const SEEN = 5;

/** A coat parted into pots whose first and last come out nearly alike. */
export const gradedAlike: Rule = {
  name: 'pots that look alike',
  find: (facts) =>
    stepsOfKind(facts, 'ink').flatMap(({ coat, planned, after }) => {
      const laid = planned.graded?.pots.filter(({ on }) => on.length > 0) ?? [];
      if (laid.length === 0) return [];
      const [first, last] = [laid[0], laid[laid.length - 1]].map(({ on }) => labOf(after[on[0]].spectrum));
      const away = deltaE2000(first, last);
      if (away >= SEEN) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `The lowest and the highest pot of this coat look nearly alike (ΔE ${away.toFixed(1)}).`,
          why: 'Measuring so many pots is work that nobody will see. Lay the loads of its ends farther apart, or all of it as one pot.',
          fix: { does: 'set coat' as const, label: 'Lay it as one pot', coat: ungraded(coat) },
        },
      ];
    }),
};
