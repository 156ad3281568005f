import { listText, percentText } from '../../units';
import { placesOfArea, reaches, stepsOfKind, type Rule } from '../finding';

/** Share of what faces you, from which on what lies under see-through flakes is half of the colour. */
const MUCH = 0.3;

/** See-through flakes on a wall that nobody gave a colour. */
export const seeThroughGround: Rule = {
  name: 'see-through on the bare wall',
  find: (facts) => {
    const glitters = stepsOfKind(facts, 'glitter');
    const bare = facts.areas.areas.filter(({ id }) =>
      placesOfArea(facts, id).some((place) => {
        const first = glitters.find(({ planned }) => planned.pours.some(({ area }) => area === place));
        return first && !colouredBefore(first.index, place) && seeThroughShare(first, place) >= MUCH;
      }),
    );
    if (bare.length === 0) return [];
    const glue = facts.steps.find(({ coat }) => coat.kind === 'glue' || coat.kind === 'glitter');
    return [
      {
        level: 'look',
        coat: null,
        area: null,
        says: `See-through flakes lie on the bare wall of ${listText(bare.map(({ name }) => name))}.`,
        why: `What is under them is half of their colour, and a bare wall is grey. Over ${percentText(MUCH)} of such flakes want a base of their own.`,
        fix: {
          does: 'insert coat',
          label: 'Lay a base under it',
          kind: 'base',
          before: glue?.coat.id ?? null,
          on: bare.map(({ id }) => id),
        },
      },
    ];
    function colouredBefore(index: number, place: string): boolean {
      return stepsOfKind(facts, 'base', 'ink').some((step) => step.index < index && reaches(facts, step.coat, place));
    }
    function seeThroughShare({ planned }: (typeof glitters)[number], place: string): number {
      const parts = planned.pours.find(({ area }) => area === place)?.parts ?? [];
      return parts.reduce((sum, { item, faceShare }) => {
        const jar = facts.workshop.shelf.find(({ id }) => id === item);
        return sum + (jar?.kind === 'glitter' && jar.flake.kind !== 'solid' ? faceShare : 0);
      }, 0);
    }
  },
};
