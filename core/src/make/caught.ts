import { keptDepth, type Part } from '../glitter';
import { costPerMl, itemOf, leftoverItem, type ShelfItem, type ShelfItemId } from '../stock';
import { amountText, tidy, type Units } from '../units';
import type { LogEntryOf } from './log-entry';
import type { Make, MakeStep } from './make';
import { reallyPoured } from './taken';

/** What falls off a place of a coat of glitter, onto the paper under it. */
export interface Caught {
  /** the area, or the pot of a fade, that it was poured on */
  readonly place: string;
  readonly name: string;
  /** ml that were poured there, and that its glue is expected to let go of */
  readonly poured: number;
  readonly expected: number;
  /** g a ml of it weighs; null where that isn't known of all of it */
  readonly gramsPerMl: number | null;
  /** of each jar, ml of what was poured */
  readonly parts: readonly { readonly item: ShelfItemId; readonly name: string; readonly ml: number }[];
}

/**
 * What is caught under each place of a coat: of so much poured its glue keeps `hold·(1 − e^(−poured/hold))` deep and lets go of
 * the rest. Empty for a coat whose glitter no one glue holds.
 * @param poured what was said of it, by what is measured
 */
export function caughtOf(
  { shelf }: Pick<Make, 'shelf'>,
  { amounts, flakes }: Pick<MakeStep, 'amounts' | 'flakes'>,
  poured: Readonly<Record<string, number>>,
): readonly Caught[] {
  const hold = flakes && itemOf(shelf, flakes.glue, 'glue')?.hold;
  if (!flakes || !hold) return [];
  return flakes.pours.flatMap(({ place, deep }): readonly Caught[] => {
    const here = amounts.filter(({ key, item }) => item !== null && key === `pour/${place}/${item}`);
    const planned = here.reduce((sum, { amount }) => sum + amount, 0);
    const ml = here.reduce((sum, one) => sum + reallyPoured(one, poured), 0);
    if (planned === 0 || ml === 0) return [];
    const really = (deep * ml) / planned;
    const kept = really > 0 ? keptDepth(really, hold) / really : 1;
    const parts = here.flatMap((one) =>
      one.item === null ? [] : [{ item: one.item, name: one.name, ml: reallyPoured(one, poured) }],
    );
    const grams = here.reduce((sum, one) => sum + reallyPoured(one, poured) * (one.gramsPerMl ?? NaN), 0);
    return [
      {
        place,
        name: here[0]?.where ?? 'the cup',
        poured: tidy(ml),
        expected: tidy(ml * (1 - kept)),
        gramsPerMl: grams > 0 ? grams / ml : null,
        parts,
      },
    ];
  });
}

/** What a jar is called that a mix's leftovers are kept in. */
const leftoverName = ({ design }: Pick<Make, 'design'>, { name }: Pick<Caught, 'name'>): string =>
  `Leftover of ${design.name}, ${name}`.slice(0, 80);

/**
 * Where what was caught goes: back into its jar where it is of one jar alone, else with the leftovers of the same mix.
 * @param shelf as it is today
 * @param id for a jar that isn't there yet
 * @returns the jar, and whether it is a new one, with nothing in it yet
 */
export function jarForCaught(
  make: Make,
  caught: Caught,
  shelf: readonly ShelfItem[],
  id: ShelfItemId,
): { readonly jar: ShelfItem; readonly isNew: boolean } | null {
  const own = new Set(caught.parts.filter(({ ml }) => ml > 0).map(({ item }) => item));
  if (own.size === 1) {
    const jar = shelf.find((item) => own.has(item.id));
    return jar ? { jar, isNew: false } : null;
  }
  const name = leftoverName(make, caught);
  const before = shelf.find((item) => item.kind === 'glitter' && item.name === name);
  if (before) return { jar: before, isNew: false };
  const parts = caught.parts.flatMap(({ item, ml }): readonly Part[] => {
    const jar = itemOf(make.shelf, item, 'glitter');
    return jar && ml > 0 ? [{ glitter: jar.flake, ml }] : [];
  });
  if (parts.length === 0) return null;
  const jar = leftoverItem(id, name, parts, 0, `${caught.name} of ${make.design.name}`);
  return { jar: { ...jar, ...pricedByParts(make, caught) }, isNew: true };
}

/** ml that a leftover's price is told of. */
const FULL = 100;

/** A leftover is worth what its parts were: it is neither paid for twice nor free. Unpriced where one of them is. */
function pricedByParts({ shelf }: Make, { parts, poured }: Caught): Pick<ShelfItem, 'paid' | 'full'> {
  const worth = parts.reduce((sum, { item, ml }) => {
    const jar = shelf.find(({ id }) => id === item);
    return sum + ml * ((jar && costPerMl(jar)) ?? NaN);
  }, 0);
  return Number.isFinite(worth) && poured > 0 ? { paid: (FULL * worth) / poured, full: FULL } : { paid: null, full: null };
}

/** Of what was caught, where it went, in words. */
export function keptText(
  { ml, into, place }: Pick<LogEntryOf<'kept'>, 'ml' | 'into' | 'place'>,
  { amounts }: Pick<MakeStep, 'amounts'>,
  units: Units,
): string {
  const where = amounts.find(({ key }) => key.startsWith(`pour/${place}/`))?.where;
  return `${millilitres(ml, units)}${where ? ` of ${where}` : ''}${into === '' ? '' : ` into ${into}`}`;
}

/** By volume, spoons too: what a mix of jars weighs isn't known once it is caught. */
const millilitres = (ml: number, units: Units): string =>
  amountText(ml, units.amount === 'gram' ? { ...units, amount: 'ml' } : units, 1);
