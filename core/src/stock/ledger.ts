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

/** So much came or went, and why. The amount is ml (of a film, sheets); null when nobody keeps count any more. */
export const movementSchema = z.strictObject({
  why: whySchema,
  amount: z
    .number({ error: 'Type how much, as a figure of 0 or more; the reason says which way it went.' })
    .min(0, 'Type how much, as a figure of 0 or more; the reason says which way it went.')
    .max(100000, 'That is more than any shelf holds.')
    .nullable(),
});
export type Movement = z.infer<typeof movementSchema>;

/**
 * An item after a movement: bought adds, counted anew is what there is, all else takes.
 * @throws LedgerError when more goes than there is, or more comes than a shelf holds
 */
export function afterMovement<Item extends ShelfItem>(item: Item, { why, amount }: Movement): Item {
  if (amount === null) return { ...item, left: null };
  const left = tidy(why === 'counted anew' ? amount : (item.left ?? 0) + (why === 'bought' ? amount : -amount));
  if (left < 0)
    throw new LedgerError(
      `There are ${item.left ?? 0} ${countedIn(item)} of ${item.name}; ${amount} can’t go. Count it anew if there is more.`,
    );
  if (left > 100000) throw new LedgerError('That is more than any shelf holds.');
  return { ...item, left };
}
