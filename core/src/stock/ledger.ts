import * as z from 'zod';
import { tidy } from '../units';
import { countedIn, type ShelfItem } from './shelf-item';

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
 * An item after so many ml came or went: bought adds, counted anew is what there is, all else takes.
 * @param ml 0 or more
 * @throws LedgerError when more goes than there is, or the amount is none
 */
export function afterChange<Item extends ShelfItem>(item: Item, why: string, ml: number): Item {
  if (!(ml >= 0))
    throw new LedgerError(`Type how many ${countedIn(item)}, as a figure of 0 or more; the reason says which way it went.`);
  const left = tidy(why === 'counted anew' ? ml : (item.left ?? 0) + (why === 'bought' ? ml : -ml));
  if (left < 0)
    throw new LedgerError(
      `There are ${item.left ?? 0} ${countedIn(item)} of ${item.name}; ${ml} can’t go. Count it anew if there is more.`,
    );
  return { ...item, left };
}
