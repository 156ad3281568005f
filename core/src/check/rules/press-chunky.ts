import { CHUNKY } from '../../glitter';
import { listText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Rule } from '../finding';

export const pressChunky: Rule = {
  name: 'press chunky flakes',
  find: (facts) => {
    const closing = stepsOfKind(facts, 'seal', 'resin', 'ink').find(
      ({ coat, before }) =>
        areasWhere(facts, (area) => reaches(facts, coat, area) && before[area].unpressed >= CHUNKY).length > 0,
    );
    if (!closing) return [];
    const names = areasWhere(facts, (area) => closing.before[area].unpressed >= CHUNKY);
    const poured = facts.steps.slice(0, closing.index).findLastIndex((step) => step.coat.kind === 'glitter');
    return [
      {
        level: 'look',
        coat: facts.steps[poured].coat.id,
        area: null,
        says: `The coarse flakes on ${listText(names)} aren’t pressed flat.`,
        why: 'Flakes of 0.8 mm and over stand up in the glue and take several coats more to bury.',
        fix: { does: 'insert coat', label: 'Press after the glitter', kind: 'press', before: facts.steps[poured + 1].coat.id },
      },
    ];
  },
};
