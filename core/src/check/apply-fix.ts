import { coatKinds } from '../coats';
import type { Coat, CoatId, Design, Workshop } from '../design';
import { heightOf } from '../vessel';
import type { Fix } from './finding';

/**
 * The design with a finding's fix taken.
 * @param id for a coat that is added
 */
export function applyFix(design: Design, fix: Fix, workshop: Workshop, id: CoatId): Design {
  switch (fix.does) {
    case 'insert coat': {
      const at = design.coats.findIndex((coat) => coat.id === fix.before);
      const added = { ...coatKinds[fix.kind].start({ shelf: workshop.shelf, height: heightOf(design.cup) }), id } as Coat;
      return {
        ...design,
        coats: at < 0 ? [...design.coats, added] : [...design.coats.slice(0, at), added, ...design.coats.slice(at)],
      };
    }
    case 'set thickness':
      return {
        ...design,
        coats: design.coats.map((coat) =>
          coat.id === fix.coat && 'thickness' in coat ? { ...coat, thickness: fix.thickness } : coat,
        ),
      };
    case 'set load':
      return {
        ...design,
        coats: design.coats.map((coat) => (coat.id === fix.coat && coat.kind === 'ink' ? { ...coat, load: fix.load } : coat)),
      };
  }
}
