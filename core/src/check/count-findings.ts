import type { Finding, FindingLevel } from './finding';

/**
 * How many findings of each level there are, and how many a maker should look at: tips, and what is left so on purpose, are no
 * such thing.
 */
export function countFindings(findings: readonly Finding[]): Readonly<Record<FindingLevel | 'grave', number>> {
  const open = findings.filter(({ accepted }) => accepted === null);
  const of = (level: FindingLevel) => open.filter((finding) => finding.level === level).length;
  return { stop: of('stop'), look: of('look'), tip: of('tip'), grave: of('stop') + of('look') };
}
