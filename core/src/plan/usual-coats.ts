import { coatKinds } from '../coats';
import type { Coat, CoatKindName, Design, Workshop } from '../design';
import { heightOf } from '../vessel';

/** The order of work most cups go through, with what is on the shelf; a start to change from. */
const USUAL: readonly CoatKindName[] = ['prep', 'base', 'glue', 'glitter', 'press', 'seal', 'resin', 'sand', 'resin', 'rest'];

/**
 * @param newId a fresh id for each coat
 * @returns the coats; those whose material nobody has on the shelf are left out
 */
export function usualCoats(design: Design, workshop: Workshop, newId: () => string): Coat[] {
  const has = (kind: string) => workshop.shelf.some((item) => item.kind === kind);
  const possible = USUAL.filter((kind) =>
    kind === 'base' ? has('paint') : kind === 'glue' || kind === 'resin' ? has(kind) : true,
  );
  return possible.map(
    (kind) => ({ ...coatKinds[kind].start({ shelf: workshop.shelf, height: heightOf(design.cup) }), id: newId() }) as Coat,
  );
}

/** A design with one coat moved to another place in the order. */
export function movedCoat(design: Design, from: number, to: number): Design {
  if (from === to) return design;
  const coats = [...design.coats];
  coats.splice(to, 0, ...coats.splice(from, 1));
  return { ...design, coats };
}
