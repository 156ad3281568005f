import { shelfItemSchema, type ShelfKind } from '../stock';
import type { Coat } from './coat';

const kinds: readonly ShelfKind[] = shelfItemSchema.options.map(({ shape }) => shape.kind.value);

/** The shelf items a coat is made with; a coat names each in the field of its kind. */
export const itemsOfCoat = (coat: Coat): readonly { readonly kind: ShelfKind; readonly id: string }[] =>
  kinds.flatMap((kind) => {
    const id = (coat as Partial<Record<ShelfKind, string | null>>)[kind];
    return typeof id === 'string' ? [{ kind, id }] : [];
  });
