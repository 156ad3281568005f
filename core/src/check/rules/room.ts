import { temperatureText } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

export const room: Rule = {
  name: 'too cold or too damp',
  find: (facts) => {
    const first = stepsOfKind(facts, 'resin', 'ink').at(0);
    const { celsius, humidity, units } = facts.workshop.settings;
    if (!first || (celsius >= 18 && humidity <= 70)) return [];
    const cold = celsius < 18;
    return [
      {
        level: 'look',
        coat: first.coat.id,
        area: null,
        says: cold
          ? `The room is at ${temperatureText(celsius, units)}, too cold for resin.`
          : `The room is at ${humidity} % humidity, too damp for resin.`,
        why: cold
          ? 'Under 18 °C it stays thick, keeps bubbles and may never cure hard.'
          : 'Over 70 % it can turn cloudy and greasy.',
        fix: null,
      },
    ];
  },
};
