import { countText } from '../units';
import type { ShelfItem, ShelfKind } from './shelf-item';

/** Which figure of an item weighings teach. */
const taught: Partial<Record<ShelfKind, string>> = { glue: 'hold', ink: 'dropMl', resin: 'pace' };

/** A figure that its maker typed is theirs, and no longer what weighings taught. */
export function typedByHand(item: ShelfItem, path: string): ShelfItem {
  if (!('learnt' in item) || taught[item.kind] !== path) return item;
  return { ...item, learnt: undefined };
}

/** How deep a glue holds, and what says so. */
export const holdText = ({ hold, learnt }: Pick<Extract<ShelfItem, { kind: 'glue' }>, 'hold' | 'learnt'>): string =>
  `${Number(hold.toFixed(2))} flakes deep a pass${learnt ? `, as ${countText(learnt.from, 'weighing')} taught` : ''}`;
