import { amountText, countText, gramText, type Units } from '../units';
import type { CoatId } from '../design';
import type { LogEntry } from './log-entry';
import type { Make, MakeAmount } from './make';

/** An amount as it is read over a glove: a figure, its unit, and the same on the scale where it can be weighed. */
export interface AmountRead {
  readonly figure: string;
  readonly weighed: string | null;
}

/** @param ml what it is, in its own unit */
export function amountRead({ unit, gramsPerMl }: MakeAmount, amount: number, units: Units): AmountRead {
  if (unit === 'drop' || unit === 'scoop') return { figure: countText(amount, unit), weighed: null };
  if (unit === 'sheet') return { figure: countText(Math.ceil(amount), 'sheet'), weighed: null };
  const weighed = gramsPerMl === null || units.amount === 'gram' ? null : gramText(amount * gramsPerMl);
  return { figure: amountText(amount, units, gramsPerMl ?? 1), weighed };
}

/** What was written for a coat: by whoever designed it, at earlier makes for this one, and at this one. */
export const benchNotes = ({ steps, notes }: Make, entries: readonly LogEntry[], coat: CoatId): readonly string[] => [
  ...steps.filter((step) => step.coat === coat && step.note !== '').map(({ note }) => note),
  ...notes.filter((note) => note.coat === coat).map(({ text, number }) => `From make ${number}: ${text}`),
  ...entries.flatMap((entry) => (entry.what === 'note' && entry.coat === coat ? [entry.text] : [])),
];
