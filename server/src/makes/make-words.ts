import { logEntrySchema, makeSchema, type LogEntry, type Make } from '@aurantia/core/make';
import { searchWords } from '../designs/search-words';
import { readRow } from '../store/read-row';

/** What a make is found by, as it was frozen: design, label, jars and their lots. */
export const wordsOfMake = ({ design, label, shelf, steps }: Pick<Make, 'design' | 'label' | 'shelf' | 'steps'>): string =>
  searchWords(
    design.name,
    label,
    design.cup.name,
    ...shelf.flatMap(({ name, lot }) => [name, lot]),
    ...new Set(steps.map(({ title }) => title)),
  );

/** What an entry of its log adds to that. */
export const wordsOfEntry = (entry: LogEntry): string => {
  if ('why' in entry) return searchWords(entry.why);
  if ('text' in entry) return searchWords(entry.text);
  return 'says' in entry ? searchWords(entry.says) : '';
};

/** The same in the texts of rows: what can't be read is listed as unreadable, and there is nothing to find it by. */
export function wordsInRows(makeText: string, entryTexts: readonly string[]): string {
  const make = readRow(makeText, makeSchema);
  if (!make.ok) return '';
  const entries = entryTexts.map((text) => readRow(text, logEntrySchema));
  return [wordsOfMake(make.document), ...entries.map((entry) => (entry.ok ? wordsOfEntry(entry.document) : ''))].join(' ');
}
