import { colourOf, groupOf, itemOf, type ShelfGroup, type ShelfItem, type ShelfItemId } from '../stock';
import { amountText, type Units } from '../units';
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

/** Every glitter, resin and ink a design is measured from, in the order of need. Resin counts both parts together. */
export function materialsTaken(
  { glitters, resins, inks }: PlanTotals,
  shelf: readonly ShelfItem[],
  units: Units,
): readonly MaterialTaken[] {
  const row = (id: ShelfItemId, name: string, ml: number, takes: string, text: (ml: number) => string): MaterialTaken => {
    const item = shelf.find((one) => one.id === id);
    const left = item?.left ?? null;
    return {
      item: id,
      name,
      group: item ? groupOf(item) : 'glitter',
      colour: item ? colourOf(item) : '#cdb99e',
      ml,
      takes,
      left,
      leftText: left === null ? 'not counted' : text(left),
      short: left !== null && ml > left + 1e-9,
    };
  };
  const weighed = (gramsPerMl: number) => (ml: number) => amountText(ml, units, gramsPerMl);
  return [
    ...glitters.map((one) => row(one.item, one.name, one.ml, weighed(one.gramsPerMl)(one.ml), weighed(one.gramsPerMl))),
    ...resins.map((one) => {
      const text = weighed(one.grams / one.mix);
      return row(one.item, one.name, one.mix, text(one.mix), text);
    }),
    ...inks.map((one) => {
      const drop = itemOf(shelf, one.item, 'ink')?.dropMl ?? 0;
      const text = (ml: number) => amountText(ml, { ...units, amount: 'ml' }, 1);
      return row(one.item, one.name, one.drops * drop, `${one.drops} ${one.drops === 1 ? one.dose : `${one.dose}s`}`, text);
    }),
  ];
}
