import * as z from 'zod';

/** One thing that is wrong with a document: where, and a sentence that says what to do. */
export interface Fault {
  readonly path: string;
  readonly sentence: string;
}

/** Zod's issues as faults, paths written like `areas[1].to`. */
export function faultsOf(error: z.ZodError): readonly Fault[] {
  return error.issues.map((issue) => ({ path: pathText(issue.path), sentence: issue.message }));
}

export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, step) => (typeof step === 'number' ? `${text}[${step}]` : text === '' ? String(step) : `${text}.${String(step)}`),
    '',
  ) || '(whole file)';

/** What a file holds, as whoever writes one by hand would call it. */
const kinds: Readonly<Record<string, string>> = { array: 'list', int: 'whole number', object: 'record', string: 'text' };
const kindOf = (expected: string): string => kinds[expected] ?? expected;

/** What lies beyond a bound: of numbers by their size, of texts and lists by how much is in them. */
function beyond(of: string, side: string, bound: number | bigint): string {
  const one = Number(bound) === 1;
  if (of === 'string') return `A text of ${side} ${bound} ${one ? 'character' : 'characters'} is`;
  if (of === 'array' || of === 'set') return `A list of ${side} ${bound} ${one ? 'entry' : 'entries'} is`;
  return `A number of ${side} ${bound} is`;
}

/* What a schema has no sentence of its own for. Said by the parser while it still has the value in hand. */
z.config({
  customError: (issue) => {
    switch (issue.code) {
      case 'unrecognized_keys':
        return `Nothing here is called ${issue.keys.map((key) => `“${key}”`).join(', ')}. Remove it, or check the spelling.`;
      case 'invalid_type':
        return issue.input === undefined
          ? `A ${kindOf(issue.expected)} is missing here.`
          : `Here a ${kindOf(issue.expected)} is wanted.`;
      case 'too_small':
        return `${beyond(issue.origin, issue.inclusive === false ? 'more than' : 'at least', issue.minimum)} wanted here.`;
      case 'too_big':
        return `${beyond(issue.origin, issue.inclusive === false ? 'less than' : 'at most', issue.maximum)} wanted here.`;
      case 'invalid_value':
      case 'invalid_union':
      case 'invalid_format':
        return 'This value isn’t one that fits here.';
      default:
        return undefined;
    }
  },
});
