import { stepsOfKind, type Rule } from '../finding';

/** Final coats that close over a rim nobody took down to the bare wall. */
export const rimLine: Rule = {
  name: 'rim down to a bare line',
  find: (facts) => {
    const films = stepsOfKind(facts, 'resin', 'ink');
    const closing = films.at(-1);
    if (!closing || films.length < 2) return [];
    if (facts.steps.slice(0, closing.index).some(({ coat: { kind } }) => kind === 'sand' || kind === 'rim')) return [];
    return [
      {
        level: 'tip',
        coat: closing.coat.id,
        area: null,
        says: 'The rim isn’t taken down before the last coat.',
        why: 'Resin that closes over a 1–2 mm line of bare wall under the lip seals the edge; over flakes it chips.',
        fix: { does: 'insert coat', label: 'Rim and inside before it', kind: 'rim', before: closing.coat.id },
      },
    ];
  },
};
