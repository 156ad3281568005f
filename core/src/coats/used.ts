import type { ShelfItem, ShelfItemId } from '../stock';
import { countText } from '../units';
import type { PlannedUse } from './planned-coat';

/* What materials that are measured by eye come to. Usual figures, until a workshop's own are known from weighings. */

/** The part of a wet paint that stays when it is dry, by volume. */
const PAINT_SOLIDS = 0.35;
/** The part of it that lands on a cup: half a spray's mist goes past, a brush keeps a little. */
const LANDS = { sprayed: 0.55, brushed: 0.9, misted: 0.3 } as const;

/** ml of paint a dry film takes. @param area cm² @param film mm, dry */
export const paintMl = (area: number, film: number, way: keyof typeof LANDS): number =>
  (area * film) / 10 / PAINT_SOLIDS / LANDS[way];

/** ml of pearl powder that 100 cm² take: rubbed in all over, and dabbed where it goes. */
export const POWDER = { buffed: 0.3, dabbed: 0.15 } as const;

/** An amount of what is measured so: ml, or of a film sheets. */
export const amountUsed = (kind: ShelfItem['kind'], amount: number): string =>
  kind === 'film' ? sheetsText(amount) : `${amount.toFixed(amount < 1 ? 2 : 1)} ml`;

/** What a coat takes of one item; nothing where the item is gone. */
export function used(item: ShelfItem | undefined, amount: number): readonly PlannedUse[] {
  if (!item || amount <= 0) return [];
  return [{ item: item.id, kind: item.kind, name: item.name, amount, reads: amountUsed(item.kind, amount), counted: null }];
}

const sheetsText = (sheets: number): string =>
  sheets <= 0.95 ? `${sheets.toFixed(2)} of a sheet` : countText(Number(sheets.toFixed(1)), 'sheet');

/** An id that nothing on a shelf has: what a new coat names where nothing fits. */
export const NOTHING = '' as ShelfItemId;

export const anyFilm = (shelf: readonly ShelfItem[]): ShelfItemId => shelf.find(({ kind }) => kind === 'film')?.id ?? NOTHING;

/** A film's sheets that pieces of one size take, cut side by side out of the shorter side. */
export function sheetsFor(film: { width: number; length: number }, wide: number, long: number): number {
  const [short, whole] = [Math.min(film.width, film.length), Math.max(film.width, film.length)];
  const across = Math.max(1, Math.floor(short / wide));
  return Math.ceil(long / whole) / across;
}

/** A film's sheets that a coat's flat pieces take; what falls off between them isn't counted. */
export const pieceSheets = (
  film: { width: number; length: number },
  piece: { width: number; height: number; times: number },
): number => (piece.times * piece.width * piece.height) / (film.width * film.length);
