import { itemOf, type ShelfItem } from '../../stock';
import type { PlannedPart } from '../../coats';
import { listText, percentText } from '../../units';
import { placesOfArea, reaches, stepsOfKind, type Facts, type Rule } from '../finding';

/** Share of what faces you, from which on what lies under see-through flakes is half of the colour. */
const MUCH = 0.3;

/** See-through flakes on a wall that nobody gave a colour. */
export const seeThroughGround: Rule = {
  name: 'see-through on the bare wall',
  find: (facts) => {
    // Who works on the bare wall means it to shine through.
    if (facts.workshop.settings.ground === 'bare') return [];
    const bare = facts.areas.areas.filter(({ id }) => placesOfArea(facts, id).some((place) => showsBareWall(facts, place)));
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
  },
};

/** Whether the first flakes of a place let through a wall that no coat coloured before. */
function showsBareWall(facts: Facts, place: string): boolean {
  const poursOf = ({ planned }: Facts['steps'][number]) => planned.pours.find(({ area }) => area === place);
  const first = stepsOfKind(facts, 'glitter').find((step) => poursOf(step));
  const parts = first && poursOf(first)?.parts;
  if (!parts || seeThroughShare(parts, facts.workshop.shelf) < MUCH) return false;
  return !stepsOfKind(facts, 'base', 'ink').some(({ index, coat }) => index < first.index && reaches(facts, coat, place));
}

const seeThroughShare = (parts: readonly PlannedPart[], shelf: readonly ShelfItem[]): number =>
  parts.reduce((sum, { item, faceShare }) => {
    const kind = itemOf(shelf, item, 'glitter')?.flake.kind ?? 'solid';
    return kind === 'solid' ? sum : sum + faceShare;
  }, 0);
