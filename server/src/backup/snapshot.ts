import * as z from 'zod';
import type { Store } from '../store/open-store';

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

/** Reads everything in one transaction, so that what is saved meanwhile is in it whole or not at all. */
export function snapshotOf(store: Store): Promise<Snapshot> {
  return store.transaction().execute(async (within) => {
    const revisions = await within.selectFrom('revision').selectAll().orderBy('row').execute();
    const byDesign = new Map<string, typeof revisions>();
    for (const revision of revisions) {
      const before = byDesign.get(revision.design_id);
      if (before) before.push(revision);
      else byDesign.set(revision.design_id, [revision]);
    }
    const held = new Set(
      (await within.selectFrom('held_revision').selectAll().execute()).map(({ design_id, number }) => `${number} ${design_id}`),
    );
    const designs = await within.selectFrom('design').select(['id', 'latest', 'kept_at', 'removed_at']).orderBy('id').execute();
    const kept = async (table: 'cup' | 'palette') =>
      (await within.selectFrom(table).selectAll().orderBy('place').execute()).map(({ id, removed_at, revision, document }) => ({
        id,
        removed_at,
        revision,
        ...bodyOf(document),
      }));
    return {
      designs: designs.map((design) => ({
        ...design,
        revisions: (byDesign.get(design.id) ?? []).map(({ number, parent, kept_at, document }) => ({
          number,
          parent,
          kept_at,
          ...(held.has(`${number} ${design.id}`) ? { held: true as const } : {}),
          ...bodyOf(document),
        })),
      })),
      shelf: (await within.selectFrom('shelf_item').selectAll().orderBy('place').execute()).map(
        ({ id, kind, removed_at, revision, document }) => ({ id, kind, removed_at, revision, ...bodyOf(document) }),
      ),
      ledger: await within.selectFrom('ledger').select(['item_id', 'at', 'change', 'left_after', 'why']).orderBy('row').execute(),
      cups: await kept('cup'),
      palettes: await kept('palette'),
      workshop: (await within.selectFrom('workshop').selectAll().execute()).map(({ revision, settings }) => ({
        revision,
        ...bodyOf(settings),
      })),
      setAside: (await within.selectFrom('set_aside').selectAll().orderBy('row').execute()).map(({ kind, id, at, document }) => ({
        kind,
        id,
        at,
        ...bodyOf(document),
      })),
    };
  });
}
