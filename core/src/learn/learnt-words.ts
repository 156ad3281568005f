import { amountText, countText, durationText, gramText, percentText, temperatureText, type Units } from '../units';
import type { NamedLearnt } from './learnt';
import type { About, Reading } from './reading';

/** What is learnt about, as a heading has it. */
export function learntTitle({ about, name }: Pick<NamedLearnt, 'about' | 'name'>): string {
  switch (about) {
    case 'hold':
      return `What ${name} holds`;
    case 'drop':
      return `A drop of ${name}`;
    case 'cure':
      return `How long ${name} takes to set here`;
    case 'pot':
      return 'What stays in the pot';
    case 'glove':
      return 'What glove and stick take';
  }
}

/** What the figures of an unknown count, along an axis. */
export const learntUnit: Readonly<Record<About, string>> = {
  hold: 'flakes deep',
  drop: 'ml a drop',
  cure: 'times its label’s',
  pot: 'ml',
  glove: '% of a mix',
};

export function learntFigure(about: About, value: number): string {
  switch (about) {
    case 'hold':
      return `${value.toFixed(2)} flakes deep`;
    case 'drop':
      return `${value.toFixed(3)} ml`;
    case 'cure':
      return `${value.toFixed(2)} × as long as its label says`;
    case 'pot':
      return `${value.toFixed(1)} ml`;
    case 'glove':
      return `${percentText(value, 1)} of a mix`;
  }
}

/** What was measured, as its maker would say it. */
export function readingText(reading: Reading, units: Units): string {
  const ml = (amount: number) => amountText(amount, { ...units, amount: 'ml' }, 1);
  switch (reading.about) {
    case 'hold': {
      const grams = reading.pours.reduce((sum, pour) => sum + pour.grams, 0);
      return `${gramText(reading.kept)} of ${gramText(grams)} stayed`;
    }
    case 'pot':
      return `${ml(reading.left)} left`;
    case 'glove':
      return reading.lost < 0
        ? `more than all of ${ml(reading.mixed)} found`
        : `${ml(reading.lost)} of ${ml(reading.mixed)} gone`;
    case 'drop':
      return `${countText(reading.drops, 'drop')} were ${ml(reading.ml)}`;
    case 'cure':
      return `${durationText(Math.round(reading.minutes))} at ${temperatureText(reading.celsius, units)}`;
  }
}
