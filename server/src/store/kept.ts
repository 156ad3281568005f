import * as z from 'zod';
import { ProblemError } from '../http/problem';

/** A document as it is kept, with how often it was. */
export interface Kept<Document> {
  readonly id: string;
  readonly document: Document;
  readonly revision: number;
}

export const keptSchema = <Schema extends z.ZodType>(document: Schema) =>
  z.object({ id: z.string(), document, revision: z.int() });

/** A save names the revision it started from; null for what wasn't there yet. */
export const savedSchema = <Schema extends z.ZodType>(document: Schema) =>
  z.strictObject({ parent: z.int().min(1).nullable(), document });

/** Another window kept something else in between: both come back, and nothing was written over. */
export function changedElsewhere<Document>(
  what: string,
  latest: object,
  yours: { parent: number | null; document: Document },
): ProblemError {
  return new ProblemError(
    409,
    'Changed elsewhere',
    `This ${what} was changed in another window meanwhile. Nothing was overwritten; choose which to go on with.`,
    { latest, yours },
  );
}
