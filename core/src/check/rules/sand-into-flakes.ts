import { OVER_FLAKES } from '../../resin';
import { listText, thicknessText } from '../../units';
import { areasWhere, placesOfArea, stepsOfKind, type Rule } from '../finding';

export const sandIntoFlakes: Rule = {
  name: 'sand into flakes',
  find: (facts) =>
    stepsOfKind(facts, 'sand').flatMap(({ coat, before }) => {
      const thin = areasWhere(facts, (area) => before[area].hasGlitter && before[area].cover < OVER_FLAKES);
      if (thin.length === 0) return [];
      const film = Math.min(
        ...facts.areas.areas.flatMap(({ id }) =>
          placesOfArea(facts, id)
            .filter((place) => before[place].hasGlitter)
            .map((place) => before[place].cover),
        ),
      );
      return [
        {
          level: film === 0 ? ('stop' as const) : ('look' as const),
          coat: coat.id,
          area: null,
          says: `Only ${thicknessText(film)} of resin lies over the flakes on ${listText(thin)}.`,
          why: `Sandpaper cuts into them and takes their colour off; at least ${OVER_FLAKES} mm has to be over them.`,
          fix: { does: 'insert coat' as const, label: 'Add clear resin before it', kind: 'resin' as const, before: coat.id },
        },
      ];
    }),
};
