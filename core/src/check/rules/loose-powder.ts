import { listText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Rule } from '../finding';

/** Buffed pearl or foil that no clear coat holds when resin comes, or at all. */
export const loosePowder: Rule = {
  name: 'seal pearl and foil',
  find: (facts) => {
    const closing = stepsOfKind(facts, 'resin', 'ink', 'rest').find(
      ({ coat, before }) =>
        areasWhere(facts, (place) => before[place].loose && (!('on' in coat) || reaches(facts, coat, place))).length > 0,
    );
    const last = facts.steps.at(-1);
    const grounds = closing?.before ?? last?.after;
    const names = grounds ? areasWhere(facts, (place) => grounds[place].loose) : [];
    if (names.length === 0) return [];
    return [
      {
        level: 'look',
        coat: closing?.coat.id ?? last?.coat.id ?? null,
        area: null,
        says: `Pearl or foil lies unsealed on ${listText(names)}.`,
        why: 'Resin floats powder off and lifts foil at its edges. A clear coat between holds both.',
        fix: { does: 'insert coat', label: 'Add a clear seal, 25 min', kind: 'seal', before: closing?.coat.id ?? null },
      },
    ];
  },
};
