import { chromaOf, hexOf, isMud, layOver, type Spectrum } from '../../colour';
import { potFilm } from '../../ink';
import { listText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Rule } from '../finding';

/** mm of colour where strings lie, before they thin out. */
const LIES = 0.15;

/** Pots of colour whose strings turn to mud where they run into each other. */
export const muddyStrings: Rule = {
  name: 'strings that turn to mud',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, planned, before }) => {
      const pots = planned.strings?.pots ?? [];
      const pairs = pots.flatMap((one, i) => pots.slice(i + 1).map((other, j) => ({ one, other, names: [i, i + 1 + j] })));
      return pairs.flatMap(({ one, other, names }) => {
        const meet = (under: Spectrum) => {
          const alone = [one, other].map((pot) => layOver(potFilm([pot], LIES), under));
          const both = layOver(potFilm([one, other], LIES / 2), under);
          return { both, mud: isMud(chromaOf(alone[0]), chromaOf(alone[1]), chromaOf(both)) };
        };
        const muddy = (place: string) => reaches(facts, coat, place) && meet(before[place].spectrum).mud;
        const where = areasWhere(facts, muddy);
        if (where.length === 0) return [];
        const place = Object.keys(before).find(muddy);
        const seen = place === undefined ? null : hexOf(meet(before[place].spectrum).both);
        return [
          {
            level: 'look' as const,
            coat: coat.id,
            area: null,
            says: `${listText(names.map((at) => planned.drops[at].ink))} turn to mud where they run into each other${seen ? ` (${seen})` : ''}, on ${listText(where)}.`,
            why: 'Each is lively alone; together they take what the other gives back. Lay the second into a coat of its own once the first has cured, or put a colour between them that mixes cleanly with both.',
            fix: null,
          },
        ];
      });
    }),
};
