import { deltaE2000, labOf } from '../../colour';
import { inksOf } from '../../design';
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
    stepsOfKind(facts, 'ink', 'strings', 'buff', 'dab').flatMap(({ coat, planned, before, after }) => {
      const inks = coat.kind === 'ink' || coat.kind === 'strings' ? inksOf(coat) : [coat];
      if (inks.some(({ ink }) => itemOf(facts.workshop.shelf, ink, 'ink')?.type !== 'pearl')) return [];
      const lost = facts.areas.areas.filter(({ id, area }) =>
        (area > 0 ? placesOfArea(facts, id) : []).some((place) => {
          if (!reaches(facts, coat, place)) return false;
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
