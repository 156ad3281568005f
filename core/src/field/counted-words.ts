import { deltaE2000, differenceWords, labOf, reflectanceOf } from '../colour';
import { percentText } from '../units';
import type { FlakeField } from './field';

/**
 * What was counted on a picture of flakes, beside what was predicted for it; null without flakes.
 * @param finished hex predicted to be seen from afar, all coats on
 */
export function countedWords(
  { bareShare, seen, flakes }: Pick<FlakeField, 'bareShare' | 'seen' | 'flakes'>,
  finished: string,
): string | null {
  if (bareShare === null || seen === null) return null;
  const difference = deltaE2000(labOf(reflectanceOf(seen)), labOf(reflectanceOf(finished)));
  return `Counted on these ${flakes.toLocaleString('en')} flakes: ${percentText(bareShare, 1)} bare, their mean colour ${difference.toFixed(1)} from the predicted (${differenceWords(difference).word}).`;
}
