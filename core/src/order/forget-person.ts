/** What somebody is called when their name is taken away. */
export const SOMEONE = 'someone';

/** Letters and digits of any script: a name is a word of its own, not a part of one. */
const inWord = '[\\p{L}\\p{N}]';

/** A text without somebody's name, wherever it stands as a word of its own, in whatever letters. */
export function withoutName(text: string, name: string): string {
  const plain = name.trim();
  if (plain === '') return text;
  const escaped = plain.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&').replaceAll(/\s+/g, '\\s+');
  return text.replaceAll(new RegExp(`(?<!${inWord})${escaped}(?!${inWord})`, 'giu'), SOMEONE);
}

/** The same of everything written in a document, keys left as they are. */
export function withoutNameIn<Document>(document: Document, name: string, fields: readonly string[]): Document {
  if (Array.isArray(document)) return document.map((one: unknown) => withoutNameIn(one, name, fields)) as Document;
  if (typeof document !== 'object' || document === null) return document;
  return Object.fromEntries(
    Object.entries(document).map(([key, value]: [string, unknown]) => [
      key,
      typeof value === 'string' ? (fields.includes(key) ? withoutName(value, name) : value) : withoutNameIn(value, name, fields),
    ]),
  ) as Document;
}
