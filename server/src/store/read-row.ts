import type * as z from 'zod';
import { faultsOf } from '@aurantia/core';

/** A row of the file as a document, or why it is none. */
export type ReadRow<Document> =
  | { readonly ok: true; readonly document: Document }
  | { readonly ok: false; readonly reason: string };

/** Reads a row's text. Never throws: a row that can't be read must not take the others down. */
export function readRow<Document>(text: string, schema: z.ZodType<Document>): ReadRow<Document> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return { ok: false, reason: error instanceof Error ? error.message : String(error) };
  }
  const read = schema.safeParse(data);
  if (read.success) return { ok: true, document: read.data };
  const [fault] = faultsOf(read.error);
  return { ok: false, reason: fault ? `${fault.path}: ${fault.sentence}` : 'it isn’t of a kind this program knows' };
}

/** The rows that can be read; the others are listed by `UnreadableRows`, where they can be saved. */
export function readable<Document>(
  rows: readonly { readonly id: string; readonly document: string; readonly revision: number }[],
  schema: z.ZodType<Document>,
): readonly { readonly id: string; readonly document: Document; readonly revision: number }[] {
  return rows.flatMap(({ id, document, revision }) => {
    const read = readRow(document, schema);
    return read.ok ? [{ id, document: read.document, revision }] : [];
  });
}
