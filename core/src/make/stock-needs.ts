import Papa from 'papaparse';
import * as z from 'zod';
import { countedIn, type ShelfItem } from '../stock';
import { countText, listText, tidy, wouldRun } from '../units';
import { benchOf } from './bench';
import type { LogEntry } from './log-entry';
import type { JarNeed } from './jar-need';
import type { Make } from './make';
import { takenFrom } from './taken';

/** What a coat still to come will take of a jar, in what the jar is counted in. */
const needSchema = z.strictObject({
  item: z.string(),
  /** what the coat is called */
  coat: z.string(),
  /** ms since 1970, when it is due */
  due: z.number(),
  amount: z.number().min(0),
});
export const needsSchema = z.array(needSchema);
export type Need = z.infer<typeof needSchema>;

/** A make with what it still needs, as a list of makes has it. */
export interface NeedingMake {
  readonly called: string;
  readonly needs: readonly Need[];
}

/** What a make has still to take from the shelf, coat by coat: nothing once it is done or given up. */
export function needsOf(make: Make, entries: readonly LogEntry[]): Need[] {
  const { coats, standing } = benchOf(make, entries, Date.parse(entries.at(-1)?.at ?? make.at));
  if (standing.givenUp) return [];
  return coats.flatMap(({ step, state, due }) =>
    state === 'done' || state === 'skipped'
      ? []
      : takenFrom(step, {}).map(({ item, amount }) => ({ item, coat: step.title, due: due ?? Date.parse(make.at), amount })),
  );
}

/**
 * What all makes together will take, jar by jar, as their coats fall due: what runs out first is the first.
 * @param makes those on the bench
 * @param shelf as it is today; a jar that is gone from it has nothing left
 * @param gone jars taken off the shelf, for their names
 */
export function jarNeeds(
  makes: readonly NeedingMake[],
  shelf: readonly ShelfItem[],
  gone: readonly ShelfItem[] = [],
): readonly JarNeed[] {
  const all = makes
    .flatMap(({ called, needs }) => needs.map((need) => ({ ...need, called })))
    .sort((one, other) => one.due - other.due);
  const found = [...new Set(all.map(({ item }) => item))].flatMap((id): readonly JarNeed[] => {
    const here = shelf.find((item) => item.id === id);
    const jar = here ?? gone.find((item) => item.id === id);
    if (!jar) return [];
    return [
      jarNeed(
        jar,
        here ? jar.left : 0,
        all.filter(({ item }) => item === id),
      ),
    ];
  });
  const dueOf = ({ out }: JarNeed) => out?.due ?? Infinity;
  return found.sort((one, other) => dueOf(one) - dueOf(other) || one.name.localeCompare(other.name));
}

function jarNeed(jar: ShelfItem, left: number | null, needs: readonly (Need & { called: string })[]): JarNeed {
  let taken = 0;
  let out: JarNeed['out'] = null;
  for (const { amount, called, coat, due } of needs) {
    taken = tidy(taken + amount);
    if (left !== null && taken > left && out === null) out = { at: `${called}: ${coat}`, due };
  }
  const short = left === null ? 0 : tidy(Math.max(0, taken - left));
  return {
    item: jar.id,
    name: jar.name,
    counted: countedIn(jar),
    left,
    takes: taken,
    short,
    jars: short > 0 && jar.full !== null ? Math.ceil(short / jar.full) : null,
    by: [...new Set(needs.map(({ called }) => called))],
    out,
  };
}

/** So much of a jar as one would count it. */
const counting = ({ counted }: JarNeed, amount: number): string =>
  `${Number(amount.toFixed(amount < 1 ? 2 : 1))} ${amount === 1 ? counted.replace(/s$/, '') : counted}`;

/** What is taken beside what there is, in words. */
export const takesText = (need: JarNeed): string =>
  `${counting(need, need.takes)} of ${need.left === null ? 'a jar that isn’t counted' : counting(need, need.left)}`;

/** What has to be bought, in whole ml: nobody sells less. */
export const toBuyText = (need: JarNeed): string =>
  `${counting(need, Math.ceil(need.short))}${need.jars === null ? '' : ` (${countText(need.jars, 'full one')})`}`;

/** What has to be bought, a line each, to take along. */
export const buyText = (needs: readonly JarNeed[]): string =>
  needs
    .filter(({ short }) => short > 0)
    .map((need) => `${need.name}: ${toBuyText(need)}, for ${listText(need.by)}\n`)
    .join('');

/** The same as a table. */
export function buyCsv(needs: readonly JarNeed[]): string {
  const rows = needs
    .filter(({ short }) => short > 0)
    .map(({ name, counted, left, takes, short, jars, by }) => [
      name,
      counted,
      left,
      Number(takes.toFixed(2)),
      Number(short.toFixed(2)),
      jars ?? '',
      listText(by),
    ]);
  const fields = ['what', 'counted in', 'left', 'needed', 'short', 'full ones to buy', 'for'];
  return `${Papa.unparse({ fields, data: rows }, { escapeFormulae: wouldRun, newline: '\n' })}\n`;
}
