import * as z from 'zod';
import {
  DESIGN_VERSION,
  designSchema,
  faultsOf,
  itemsOfCoat,
  settingsSchema,
  upgradeDesignFile,
  type Design,
  type Fault,
  type Workshop,
} from '../design';
import { shelfItemSchema, type ShelfKind } from '../stock';

export const DESIGN_FORMAT = 'aurantia design';

/** The file itself, of this version: what is written. */
export const designFileDocumentSchema = z
  .strictObject({
    format: z.literal(DESIGN_FORMAT, { error: `This is no design of Aurantia: its format must say “${DESIGN_FORMAT}”.` }),
    version: z.literal(DESIGN_VERSION, {
      error: `This file is of another version; this program reads version ${DESIGN_VERSION}.`,
    }),
    design: designSchema,
    shelf: z.array(shelfItemSchema).max(500),
    settings: settingsSchema,
  })
  .check((context) => {
    if (context.issues.length > 0) return;
    const { design, shelf } = context.value;
    const known = new Set(shelf.map((item) => `${item.kind} ${item.id}`));
    for (const { path, kind, id } of itemsNamed(design)) {
      if (known.has(`${kind} ${id}`)) continue;
      const message = `No ${kind} with the id “${id}” is on the shelf in this file. Add it to “shelf”, or name one that is.`;
      context.issues.push({ code: 'custom', input: id, path: ['design', ...path], message });
    }
  });

/**
 * A design with all it needs to be worked out elsewhere: the jars it names and how its workshop
 * measures. A file of an earlier version is read as one of this.
 */
export const designFileSchema = z.preprocess(upgradeDesignFile, designFileDocumentSchema);
export type DesignFile = z.infer<typeof designFileDocumentSchema>;

interface NamedItem {
  readonly path: readonly (string | number)[];
  readonly kind: ShelfKind;
  readonly id: string;
}

/** Every shelf item a design names, and where it does. */
export function itemsNamed(design: Design): readonly NamedItem[] {
  return [
    ...design.fades.flatMap((fade, f) =>
      fade.stops.flatMap((stop, s) => [
        ...stop.parts.map((part, p) => ({
          path: ['fades', f, 'stops', s, 'parts', p, 'item'],
          kind: 'glitter' as const,
          id: part.item,
        })),
        ...(stop.base === null ? [] : [{ path: ['fades', f, 'stops', s, 'base'], kind: 'paint' as const, id: stop.base }]),
      ]),
    ),
    ...design.blends.flatMap((blend, b) =>
      blend.parts.map((part, p) => ({ path: ['blends', b, 'parts', p, 'item'], kind: 'glitter' as const, id: part.item })),
    ),
    ...design.coats.flatMap((coat, c) =>
      itemsOfCoat(coat).map(({ kind, id, path }) => ({ path: ['coats', c, ...path], kind, id })),
    ),
  ];
}

/** The file for a design: only the shelf items it uses go along. */
export function designFileOf(design: Design, workshop: Workshop): DesignFile {
  const named = new Set<string>(itemsNamed(design).map(({ id }) => id));
  return {
    format: DESIGN_FORMAT,
    version: DESIGN_VERSION,
    design,
    shelf: workshop.shelf.filter((item) => named.has(item.id)),
    settings: workshop.settings,
  };
}

export type ReadFile =
  | { readonly ok: true; readonly file: DesignFile }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Reads a design file's text. Never throws: whatever is wrong comes back as faults. */
export function readDesignFile(text: string): ReadFile {
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    const reason = error instanceof Error ? error.message : 'it can’t be read';
    return {
      ok: false,
      faults: [{ path: '(whole file)', sentence: `This isn’t JSON (${reason}). Save the design as a file again and use that.` }],
    };
  }
  const read = designFileSchema.safeParse(data);
  return read.success ? { ok: true, file: read.data } : { ok: false, faults: faultsOf(read.error) };
}
