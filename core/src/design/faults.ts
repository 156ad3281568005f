import type * as z from 'zod';

/** One thing that is wrong with a document: where, and a sentence that says what to do. */
export interface Fault {
  readonly path: string;
  readonly sentence: string;
}

/** Zod's issues as faults, paths written like `areas[1].to`. */
export function faultsOf(error: z.ZodError): readonly Fault[] {
  return error.issues.map((issue) => ({ path: pathText(issue.path), sentence: sentenceOf(issue) }));
}

export const pathText = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, step) => (typeof step === 'number' ? `${text}[${step}]` : text === '' ? String(step) : `${text}.${String(step)}`),
    '',
  ) || '(whole file)';

function sentenceOf(issue: z.core.$ZodIssue): string {
  if (issue.code === 'unrecognized_keys')
    return `Nothing here is called ${issue.keys.map((key) => `“${key}”`).join(', ')}. Remove it, or check the spelling.`;
  if (issue.message.startsWith('Invalid input')) {
    if (issue.code === 'invalid_type' && issue.message.endsWith('received undefined'))
      return `A ${issue.expected} is missing here.`;
    return issue.code === 'invalid_type' ? `Here a ${issue.expected} is wanted.` : 'This value isn’t one that fits here.';
  }
  return issue.message;
}
