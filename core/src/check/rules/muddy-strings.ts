import { wetMeetings } from '../../coats';
import type { Spectrum } from '../../colour';
import { listText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Rule } from '../finding';

/** Pots of colour whose strings turn to mud where they run into each other. */
export const muddyStrings: Rule = {
  name: 'strings that turn to mud',
  find: (facts) =>
    stepsOfKind(facts, 'strings').flatMap(({ coat, planned, before }) => {
      const pots = planned.strings?.pots ?? [];
      const pairs = pots.flatMap((_, i) => pots.slice(i + 1).map((_other, j): [number, number] => [i, i + 1 + j]));
      return pairs.flatMap((names) => {
        const meet = (under: Spectrum) =>
          wetMeetings(
            names.map((at) => pots[at]),
            under,
          )[0];
        const muddy = (place: string) => reaches(facts, coat, place) && meet(before[place].spectrum).mud;
        const where = areasWhere(facts, muddy);
        if (where.length === 0) return [];
        const place = Object.keys(before).find(muddy);
        const seen = place === undefined ? null : meet(before[place].spectrum).mixed;
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
