import { countFindings } from '../check';
import type { Plan } from '../plan';
import { countText } from '../units';
import type { designLevels } from './design-summary';

/** How far a design is, in a line: gone through without a word, to be looked at, stopped, or not planned to its end. */
export interface DesignLine {
  readonly line: string;
  readonly level: (typeof designLevels)[number];
}

export function designLine({ areas, coats, findings }: Pick<Plan, 'areas' | 'coats' | 'findings'>): DesignLine {
  if (areas.areas.length === 0) return { line: 'only a cup so far', level: 'open' };
  if (coats.length === 0) return { line: `${countText(areas.areas.length, 'area')}, no coats yet`, level: 'open' };
  const { stop, grave } = countFindings(findings);
  const all = countText(coats.length, 'coat');
  if (grave > 0) return { line: `${all}, ${countText(grave, 'thing')} to look at`, level: stop > 0 ? 'stop' : 'look' };
  return { line: `${all}, all clear`, level: 'clean' };
}
