import { amountText, countText, gramText, type Units } from '../units';
import type { MakeAmount } from './make';

/** An amount as it is read over a glove: a figure, its unit, and the same on the scale where it can be weighed. */
export interface AmountRead {
  readonly figure: string;
  readonly weighed: string | null;
}

/** @param ml what it is, in its own unit */
export function amountRead({ unit, gramsPerMl }: MakeAmount, amount: number, units: Units): AmountRead {
  if (unit === 'drop' || unit === 'scoop') return { figure: countText(amount, unit), weighed: null };
  if (unit === 'sheet') return { figure: countText(Math.ceil(amount), 'sheet'), weighed: null };
  const weighed = gramsPerMl === null || units.amount === 'gram' ? null : gramText(amount * gramsPerMl);
  return { figure: amountText(amount, units, gramsPerMl ?? 1), weighed };
}
