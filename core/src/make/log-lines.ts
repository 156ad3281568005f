import type { Settings } from '../design';
import { temperatureText } from '../units';
import { amountRead } from './bench-words';
import { keptText } from './caught';
import type { LogEntry } from './log-entry';
import type { Make, MakeStep } from './make';
import { reallyPoured } from './taken';
import { weighedText } from './weighed-text';

/** An amount as it was planned beside what it really was, to read. */
export interface PlannedAndReal {
  readonly name: string;
  readonly planned: string;
  readonly really: string;
  /** it reads otherwise */
  readonly other: boolean;
  /** of the jar it came from; empty where none was noted */
  readonly lot: string;
}

/** One thing that happened to a cup. */
export interface LogLine {
  readonly id: string;
  /** ms since 1970 */
  readonly at: number;
  readonly what: string;
  readonly says: string;
  readonly amounts: readonly PlannedAndReal[];
}

/** What a coat's amounts were, planned beside real. @param poured what was said of it, by what is measured */
export const plannedAndReal = (
  { shelf }: Pick<Make, 'shelf'>,
  { amounts }: Pick<MakeStep, 'amounts'>,
  poured: Readonly<Record<string, number>>,
  { units }: Pick<Settings, 'units'>,
): readonly PlannedAndReal[] =>
  amounts.map((amount) => {
    const [planned, really] = [amount.amount, reallyPoured(amount, poured)].map((one) => amountRead(amount, one, units).figure);
    const lot = shelf.find(({ id }) => id === amount.item)?.lot ?? '';
    return {
      name: amount.where === null ? amount.name : `${amount.name}, ${amount.where}`,
      planned,
      really,
      other: really !== planned,
      lot,
    };
  });

/** What happened to a cup, the first first, in words. */
export const logLines = (make: Make, entries: readonly LogEntry[], settings: Pick<Settings, 'units'>): readonly LogLine[] =>
  entries.map((entry) => {
    const step = 'coat' in entry ? make.steps.find(({ coat }) => coat === entry.coat) : undefined;
    const amounts = entry.what === 'done' && step ? plannedAndReal(make, step, entry.poured, settings) : [];
    return { id: entry.id, at: Date.parse(entry.at), ...wordsOf(entry, step, settings), amounts };
  });

function wordsOf(
  entry: LogEntry,
  step: MakeStep | undefined,
  { units }: Pick<Settings, 'units'>,
): { what: string; says: string } {
  const title = step?.title ?? '';
  switch (entry.what) {
    case 'begun':
      return { what: `Begun: ${title}`, says: '' };
    case 'done':
      return { what: `Done: ${title}`, says: '' };
    case 'weighed':
      return { what: `Weighed: ${title}`, says: weighedText(entry) };
    case 'kept':
      return { what: `Caught: ${title}`, says: step ? keptText(entry, step, units) : '' };
    case 'set':
      return { what: `Set: ${title}`, says: `A nail leaves no mark in it, at ${temperatureText(entry.celsius, units)}.` };
    case 'skipped':
      return { what: `Left out: ${title}`, says: entry.why };
    case 'undone':
      return { what: `Undone: ${title}`, says: '' };
    case 'note': {
      const at = title ? `, at ${title}` : '';
      return { what: entry.next ? `For next time${at}` : `Note${at}`, says: entry.text };
    }
    case 'mishap':
      return { what: `${entry.says}: ${title}`, says: entry.answer };
    case 'given up':
      return { what: 'Given up', says: entry.why };
    case 'taken up':
      return { what: 'Taken up again', says: '' };
  }
}
