import { colourOf, groupOf, itemOf, type ShelfGroup, type ShelfItem, type ShelfItemId } from '../stock';
import { amountText, countText, type Units } from '../units';
import { amountUsed } from '../coats';
import type { PlanTotals } from './totals';

/** What a whole design takes of one material, beside what there is of it. */
export interface MaterialTaken {
  readonly item: ShelfItemId;
  readonly name: string;
  readonly group: ShelfGroup;
  readonly colour: string;
  /** ml, to put in order */
  readonly ml: number;
  /** as the maker measures it: ink in drops, all else in the workshop's unit */
  readonly takes: string;
  /** ml; null where nobody counted */
  readonly left: number | null;
  readonly leftText: string;
  readonly short: boolean;
}

/** Every material a design is measured from, in the order of need; what is no longer on the shelf isn't measured. Resin
 * counts both parts together; film counts sheets. */
export function materialsTaken(
  { glitters, resins, inks, others }: Pick<PlanTotals, 'glitters' | 'resins' | 'inks' | 'others'>,
  shelf: readonly ShelfItem[],
  units: Units,
): readonly MaterialTaken[] {
  const row = (id: ShelfItemId, ml: number, text: (ml: number) => string, takes = text(ml)): readonly MaterialTaken[] => {
    const item = shelf.find((one) => one.id === id);
    if (!item) return [];
    const { name, left } = item;
    const row = {
      item: id,
      name,
      group: groupOf(item),
      colour: colourOf(item),
      ml,
      takes,
      left,
      leftText: left === null ? 'not counted' : text(left),
      short: left !== null && ml > left + 1e-9,
    };
    return [row];
  };
  const kindOf = (id: ShelfItemId) => shelf.find((one) => one.id === id)?.kind ?? 'paint';
  const weighed = (gramsPerMl: number) => (ml: number) => amountText(ml, units, gramsPerMl);
  return [
    ...glitters.flatMap((one) => row(one.item, one.ml, weighed(one.gramsPerMl))),
    ...resins.flatMap((one) => row(one.item, one.mix, weighed(one.grams / one.mix))),
    ...inks.flatMap((one) => {
      const drop = itemOf(shelf, one.item, 'ink')?.dropMl ?? 0;
      // Pearl is stirred in by the scoop and rubbed in from the jar: both of one jar.
      const loose = others.find(({ item }) => item === one.item)?.amount ?? 0;
      const text = (ml: number) => amountText(ml, { ...units, amount: 'ml' }, 1);
      const counted = countText(one.drops, one.dose);
      return row(one.item, one.drops * drop + loose, text, loose > 0 ? `${counted} and ${text(loose)}` : counted);
    }),
    ...others.flatMap((one) =>
      inks.some(({ item }) => item === one.item)
        ? []
        : row(one.item, one.amount, (amount) => amountUsed(kindOf(one.item), amount)),
    ),
  ];
}
