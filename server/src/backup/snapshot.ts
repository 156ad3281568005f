import * as z from 'zod';

/** A kept document: open JSON where it is JSON as this program writes it, else the text as it lies in the file. */
const body = { document: z.unknown().optional(), text: z.string().optional() };
const id = z.string().min(1).max(200);
const when = z.string().max(40);
const count = z.int().min(0);

const row = z.strictObject({ id, removed_at: when.nullable(), revision: count, ...body });

/** Everything a workshop remembers, as it lies in its file. */
export const snapshotSchema = z.strictObject({
  designs: z.array(
    z.strictObject({
      id,
      latest: count,
      kept_at: when,
      removed_at: when.nullable(),
      archived_at: when.optional(),
      tags: z.array(z.string().max(100)).optional(),
      revisions: z.array(
        z.strictObject({ number: count, parent: count.nullable(), kept_at: when, held: z.literal(true).optional(), ...body }),
      ),
    }),
  ),
  shelf: z.array(row.extend({ kind: z.string().max(40) })),
  ledger: z.array(
    z.strictObject({
      item_id: id,
      at: when,
      change: z.number().nullable(),
      left_after: z.number().nullable(),
      why: z.string().max(200),
    }),
  ),
  cups: z.array(row),
  palettes: z.array(row),
  // Workshops of before there were makes have none.
  makes: z
    .array(
      z.strictObject({
        id,
        design_id: id,
        number: count,
        at: when,
        name: z.string().max(200),
        label: z.string().max(200),
        cups: count,
        standing: z.string().max(2000),
        over: count,
        ...body,
        entries: z.array(z.strictObject({ id, at: when, ...body })),
      }),
    )
    .default([]),
  // Nor had they weighed anything, or measured the room.
  readings: z
    .array(
      z.strictObject({ id, unknown: id, make_id: id, coat: z.string().max(200), at: when, said: z.string().max(20), ...body }),
    )
    .default([]),
  /** what is known of photos; their ids name the files their pictures lie in, so nothing but a UUID is one */
  photos: z
    .array(
      z.strictObject({
        id: z.uuid(),
        make_id: id,
        at: when,
        coat: z.string().max(200).nullable(),
        width: count,
        height: count,
        reading: z.string().max(200_000).nullable(),
      }),
    )
    .default([]),
  room: z.array(z.strictObject({ at: count, celsius: z.number(), humidity: z.number().nullable() })).default([]),
  // Nor did they take orders, plan weeks or count money.
  orders: z.array(row).default([]),
  books: z.array(z.strictObject({ name: z.enum(['week', 'money']), revision: count, ...body })).default([]),
  workshop: z.array(z.strictObject({ revision: count, ...body })).max(1),
  setAside: z.array(z.strictObject({ kind: z.string().max(40), id, at: when, ...body })),
});
export type Snapshot = z.infer<typeof snapshotSchema>;

/** A document as it is written down: parsed, when that loses nothing. */
export function bodyOf(text: string): { document: unknown } | { text: string } {
  try {
    const document: unknown = JSON.parse(text);
    return JSON.stringify(document) === text ? { document } : { text };
  } catch {
    // No JSON: the text itself is what there is to keep.
    return { text };
  }
}

export const textOf = ({ document, text }: { document?: unknown; text?: string }): string =>
  text ?? JSON.stringify(document) ?? 'null';
