import * as z from 'zod';
import { tidy } from '../units';
import type { ShelfItem } from './shelf-item';

/** Why stock came or went; a maker may write another reason. */
export const ledgerReasons = ['used on a cup', 'bought', 'counted anew', 'spilt', 'given away'] as const;

export const whySchema = z.string().trim().min(1, 'Say why.').max(120, 'Keep the reason under 120 letters.');

/** One line of an item's ledger. Volumes ml; null where nobody kept count before or after. */
export const ledgerEntrySchema = z.strictObject({
  at: z.iso.datetime(),
  change: z.number().nullable(),
  left: z.number().nullable(),
  why: whySchema,
});
export type LedgerEntry = z.infer<typeof ledgerEntrySchema>;

/** More came or some went than can be; the sentence says what to do. */
export class LedgerError extends Error {
  override readonly name = 'LedgerError';
}

/**
 * An item after so many ml came (above zero) or went (below).
 * @throws LedgerError when more goes than there is
 */
export function afterChange<Item extends ShelfItem>(item: Item, change: number): Item {
  const left = tidy((item.left ?? 0) + change);
  if (left < 0)
    throw new LedgerError(
      `There are ${item.left ?? 0} ml of ${item.name}; ${-change} ml can’t go. Count it anew if there is more.`,
    );
  return { ...item, left };
}
