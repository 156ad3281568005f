import { CHUNKY } from '../../glitter';
import { glueWayFacts } from '../../stock';
import { stepsOfKind, type Rule } from '../finding';

export const chunkyGlue: Rule = {
  name: 'chunky glitter in thin glue',
  find: (facts) =>
    stepsOfKind(facts, 'glitter').flatMap(({ coat, planned, before }) =>
      planned.pours.flatMap((pour) => {
        const way = before[pour.area].glue?.way;
        const coarse = pour.parts.find((part) => (part.cut ?? 0) >= CHUNKY);
        if (!way || !coarse || glueWayFacts[way].chunky) return [];
        return [
          {
            level: 'look' as const,
            coat: coat.id,
            area: pour.area,
            says: `${coarse.name} is ${coarse.cut} mm, too coarse for ${glueWayFacts[way].title.toLowerCase()}.`,
            why: 'Its film is thinner than the flake needs; edges stand up and come off. A resin wipe or brushed glue holds them.',
            fix: null,
          },
        ];
      }),
    ),
};
