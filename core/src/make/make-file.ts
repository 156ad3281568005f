import Papa from 'papaparse';
import * as z from 'zod';
import { wouldRun } from '../units';
import { logEntrySchema, type LogEntry } from './log-entry';
import { makeSchema, type Make } from './make';
import { weighedText } from './weighed-text';
import { reallyPoured } from './taken';

/** A make with its log in a file of its own: it comes in again as it went out, bit by bit. */
export const makeFileSchema = z.strictObject({
  format: z.literal('aurantia make', { error: 'This is no make of Aurantia’s. Choose a file that was saved at the bench.' }),
  version: z.literal(1, { error: 'This file was written by a newer Aurantia. Open it with that one.' }),
  make: makeSchema,
  entries: z.array(logEntrySchema).max(5000, 'No log of one cup is that long.'),
});
export type MakeFile = z.infer<typeof makeFileSchema>;

export const makeFileOf = (make: Make, entries: readonly LogEntry[]): MakeFile => ({
  format: 'aurantia make',
  version: 1,
  make,
  entries: [...entries],
});

/** The shape of such a file, as a JSON Schema. */
export const makeJsonSchema = (): object => ({
  title: 'Aurantia make file',
  description:
    'One cup that was made, or several alike: what it was frozen from, its plan as numbers, and what happened. Moments ISO 8601.',
  ...z.toJSONSchema(makeFileSchema, { io: 'input', unrepresentable: 'any' }),
});

/** What happened, a line each, and of a done coat a line for each of its amounts, planned beside real. */
export function makeLogCsv({ steps }: Make, entries: readonly LogEntry[]): string {
  const rows = entries.flatMap((entry) => {
    const step = 'coat' in entry ? steps.find(({ coat }) => coat === entry.coat) : undefined;
    const words =
      'why' in entry
        ? entry.why
        : 'text' in entry
          ? entry.text
          : 'says' in entry
            ? `${entry.says} ${entry.answer}`.trim()
            : entry.what === 'weighed'
              ? weighedText(entry)
              : entry.what === 'kept'
                ? `${entry.ml} ml into ${entry.into}`
                : entry.what === 'set'
                  ? `at ${entry.celsius} °C`
                  : '';
    const line = [entry.at, entry.what, step?.title ?? '', words];
    if (entry.what !== 'done' || !step || step.amounts.length === 0) return [[...line, '', '', '', '']];
    return step.amounts.map((amount) => [
      ...line,
      amount.where === null ? amount.name : `${amount.name}, ${amount.where}`,
      amount.unit,
      amount.amount,
      reallyPoured(amount, entry.poured),
    ]);
  });
  const fields = ['when', 'what', 'coat', 'words', 'amount of', 'unit', 'planned', 'really'];
  return `${Papa.unparse({ fields, data: rows }, { escapeFormulae: wouldRun, newline: '\n' })}\n`;
}
