import { listText } from '../../units';
import { areasWhere, placesOfArea, stepsOfKind, type Rule } from '../finding';

export const decalOnGlitter: Rule = {
  name: 'decal on raw glitter',
  find: (facts) =>
    stepsOfKind(facts, 'decal').flatMap(({ coat, before }) => {
      const under = facts.areas.areas.filter(
        ({ from, to }) =>
          from !== null && to !== null && from < coat.centre + coat.height / 2 && to > coat.centre - coat.height / 2,
      );
      const raw = areasWhere(
        facts,
        (place) =>
          under.some(({ id }) => placesOfArea(facts, id).includes(place)) &&
          before[place].hasGlitter &&
          before[place].cover === 0,
      );
      if (raw.length === 0) return [];
      return [
        {
          level: 'stop' as const,
          coat: coat.id,
          area: null,
          says: `“${coat.name}” lies on raw glitter on ${listText(raw)}.`,
          why: 'Its carrier tape pulls the flakes off, and its edges never close.',
          fix: { does: 'insert coat' as const, label: 'Add clear resin before it', kind: 'resin' as const, before: coat.id },
        },
      ];
    }),
};
