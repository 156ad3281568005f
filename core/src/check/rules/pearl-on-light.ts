import { deltaE2000, labOf } from '../../colour';
import { itemOf } from '../../stock';
import { listText } from '../../units';
import { placesOfArea, reaches, stepsOfKind, type Rule } from '../finding';

/** ΔE00 under which a coat of pearl isn’t seen, and L* from which on a ground is light. */
const UNSEEN = 3;
const LIGHT = 60;

/** Pearl that all but vanishes on a light ground. */
export const pearlOnLight: Rule = {
  name: 'pearl on a light ground',
  find: (facts) =>
    stepsOfKind(facts, 'ink', 'buff', 'dab').flatMap(({ coat, planned, before, after }) => {
      if (itemOf(facts.workshop.shelf, coat.ink, 'ink')?.type !== 'pearl') return [];
      const lost = facts.areas.areas.filter(({ id, area }) =>
        (area > 0 && reaches(facts, coat, id) ? placesOfArea(facts, id) : []).some((place) => {
          const was = labOf(before[place].spectrum);
          // Where nothing of it is laid, under a mask or without glue, another rule speaks.
          if (before[place].spectrum === after[place].spectrum) return false;
          return was[0] > LIGHT && deltaE2000(was, labOf(after[place].spectrum)) < UNSEEN;
        }),
      );
      if (lost.length === 0) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `“${planned.title}” will hardly be seen on ${listText(lost.map(({ name }) => name))}.`,
          why: 'Pearl reflects a little and lets the rest through: on a light ground the two are alike. Over a dark base it comes out.',
          fix: null,
        },
      ];
    }),
};
