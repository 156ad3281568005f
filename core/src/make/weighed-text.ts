import { countText, gramText } from '../units';
import type { LogEntryOf } from './log-entry';

/** What was weighed of a coat beyond its amounts, in words. */
export function weighedText({ cup, pot, drops }: LogEntryOf<'weighed'>): string {
  return [
    ...(cup ? [`the cup ${gramText(cup.before)} before and ${gramText(cup.after)} after`] : []),
    ...(pot === undefined ? [] : [`${gramText(pot)} left in the pot`]),
    ...(drops ? [`${countText(drops.count, 'drop')} ${gramText(drops.grams)}`] : []),
  ].join('; ');
}
