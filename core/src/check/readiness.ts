import { countText } from '../units';
import { countFindings } from './count-findings';
import type { Finding } from './finding';
import { notEnough } from './rules/stock';

/** Whether a cup can be made by its plan as it stands, and in a few words why not. */
export interface Readiness {
  readonly ready: boolean;
  readonly line: string;
}

/** @param coats how many coats the plan has */
export function readinessOf(coats: number, findings: readonly Finding[]): Readiness {
  if (coats === 0) return { ready: false, line: 'wants coats first' };
  const { stop } = countFindings(findings);
  if (stop > 0) return { ready: false, line: `${countText(stop, 'thing')} to settle first` };
  const short = findings.filter(({ rule, accepted }) => rule === notEnough.name && accepted === null).length;
  if (short > 0) return { ready: false, line: `${countText(short, 'material')} short` };
  return { ready: true, line: 'ready to print' };
}
