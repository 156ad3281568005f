import type { Finding } from './finding';

const keyOf = ({ rule, coat, area }: Finding): string => `${rule}/${coat ?? ''}/${area ?? ''}`;

/** What was found after a change and wasn't before it: what is likely worse, tips and what the maker means so aside. */
export function newFindings(before: readonly Finding[], after: readonly Finding[]): readonly Finding[] {
  const known = new Set(before.map(keyOf));
  return after.filter((one) => one.level !== 'tip' && one.accepted === null && !known.has(keyOf(one)));
}
