import { listText } from '../../units';
import { areasWhere, placesOfArea, reaches, stepsOfKind, type Facts, type Rule } from '../finding';

/** Films that are laid on flakes no resin lies over. */
export const decalOnGlitter: Rule = {
  name: 'decal on raw glitter',
  find: (facts) =>
    stepsOfKind(facts, 'decal', 'sheet', 'strip', 'outline').flatMap(({ coat, before, planned }) => {
      const raw = areasWhere(
        facts,
        (place) => liesOn(facts, coat, place) && before[place].hasGlitter && before[place].cover === 0,
      );
      if (raw.length === 0) return [];
      return [
        {
          level: 'stop' as const,
          coat: coat.id,
          area: null,
          says: `“${planned.title}” lies on raw glitter on ${listText(raw)}.`,
          why: 'Its carrier tape pulls the flakes off, and its edges never close.',
          fix: { does: 'insert coat' as const, label: 'Add clear resin before it', kind: 'resin' as const, before: coat.id },
        },
      ];
    }),
};

type LaidFilm = ReturnType<typeof stepsOfKind<'decal' | 'sheet' | 'strip' | 'outline'>>[number]['coat'];

/** Whether a film comes to lie on a place: by its heights, or round the areas it is cut for. */
function liesOn(facts: Facts, coat: LaidFilm, place: string): boolean {
  if (coat.kind === 'outline') return reaches(facts, coat, place);
  const half = (coat.kind === 'strip' ? coat.width : coat.height) / 2;
  return facts.areas.areas.some(
    ({ id, from, to }) =>
      placesOfArea(facts, id).some((one) => one === place) &&
      from !== null &&
      to !== null &&
      from < coat.centre + half &&
      to > coat.centre - half,
  );
}
