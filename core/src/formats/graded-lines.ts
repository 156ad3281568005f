import type { PlannedDrops, PlannedGrade } from '../coats';
import type { StirredPot } from '../ink';
import { amountText, countText, lengthText, listText, type Units } from '../units';

const names: Readonly<Record<StirredPot['name'], string>> = {
  tinted: 'Tinted pot',
  clear: 'Clear pot',
  lower: 'Lower pot',
  upper: 'Upper pot',
};

/** How a coat whose load changes on the way up is stirred and parted, a line each: what is stirred, then its pots from below. */
export function gradedLines({ stirred, pots }: PlannedGrade, drops: readonly PlannedDrops[], units: Units): readonly string[] {
  // A syringe measures them, whatever else is weighed.
  const ml = (amount: number) => amountText(amount, { ...units, amount: 'ml' }, 1);
  const counted = stirred.flatMap((pot) => {
    if (pot.ml === 0) return [];
    const inks = pot.drops.flatMap(({ count }, ink) => {
      const { dose, ink: name } = drops[ink];
      return count > 0 ? [`${countText(count, dose)} of ${name}`] : [];
    });
    return [`${names[pot.name]}: ${ml(pot.ml)}, ${inks.length > 0 ? listText(inks) : 'no ink'}`];
  });
  const parted = pots.flatMap(({ heights, of }) => {
    const parts = of.flatMap((amount, i) => (amount > 0 ? [`${ml(amount)} ${stirred[i].name}`] : []));
    const where = `${lengthText(heights.from, units)} to ${lengthText(heights.to, units)}`;
    return parts.length > 0 ? [`${where}: ${parts.join(' + ')}`] : [];
  });
  return [...counted, ...parted];
}
