import { searchWords } from './search-words';

/** What a design is called and found by, as it is noted beside it. */
export interface DesignNames {
  readonly name: string;
  readonly cup: string;
  readonly found_by: string;
}

/** The names in a design's document, whatever else is wrong with it. */
export function namesOf(document: unknown): DesignNames {
  const name = named(document);
  const cup = named(typeof document === 'object' && document !== null && 'cup' in document ? document.cup : null);
  return { name, cup, found_by: searchWords(name, cup) };
}

const named = (value: unknown): string =>
  typeof value === 'object' && value !== null && 'name' in value && typeof value.name === 'string' ? value.name : '';

/** The same of its text; of what is no JSON there are none, and it is listed among what can't be read. */
export function namesInText(text: string): DesignNames {
  try {
    return namesOf(JSON.parse(text));
  } catch {
    return namesOf(null);
  }
}
