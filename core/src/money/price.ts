import type { Cost } from './cost';
import type { MoneyWays } from './ways';

/** A price of one cup, and what becomes of it. All of one cup. */
export interface Price {
  /** materials, hours and what fails: below this every cup costs money */
  readonly floor: number;
  /** what is asked for */
  readonly price: number;
  readonly fees: number;
  readonly postage: number;
  /** what is left once everything, the maker's hours too, is paid */
  readonly left: number;
}

/** Rounds up to whole steps; what is a hair over a step by floating point isn't. */
const roundedUp = (amount: number, step: number): number => Math.ceil(amount / step - 1e-9) * step;

/** What one cup costs, all of the maker's hours paid. */
export const floorOf = ({ total, cups }: Cost): number => total / cups;

/** What an order of cups has to be sold for, each: floor and margin, fees, postage, rounded up. @param cups that one sale, and one parcel, has */
export function priceOf(cost: Cost, ways: MoneyWays, cups = 1): Price {
  const floor = floorOf(cost);
  const asked = (floor * (1 + ways.margin) + (ways.feeFixed + ways.postage) / cups) / (1 - ways.fee);
  return soldAt(roundedUp(asked, ways.rounding), cost, ways, cups);
}

/** What becomes of a price. */
export function soldAt(price: number, cost: Cost, ways: MoneyWays, cups = 1): Price {
  const [fees, postage] = [price * ways.fee + ways.feeFixed / cups, ways.postage / cups];
  return { floor: floorOf(cost), price, fees, postage, left: price - fees - postage - floorOf(cost) };
}

/** What fails costs materials and hours alike: both are so many times as much. */
const timesFailing = ({ materials, wages, rejects }: Cost): number => {
  const once = materials + (wages ?? 0);
  return once > 0 ? (once + rejects) / once : 1;
};

/** What an hour of hands earns at a price; null where no hand touches it. */
export function wageAt(price: number, cost: Cost, ways: MoneyWays, cups = 1): number | null {
  const hours = (cost.hours / cost.cups) * timesFailing(cost);
  const after =
    price * (1 - ways.fee) - (ways.feeFixed + ways.postage) / cups - (cost.materials / cost.cups) * timesFailing(cost);
  return hours > 0 ? after / hours : null;
}

/** The price at which an hour of hands earns so much, rounded up. */
export function priceForWage(wage: number, cost: Cost, ways: MoneyWays, cups = 1): number {
  const times = timesFailing(cost);
  const needed = ((cost.materials + cost.hours * wage) / cost.cups) * times + (ways.feeFixed + ways.postage) / cups;
  return roundedUp(needed / (1 - ways.fee), ways.rounding);
}

/** What cups earned that were really made and sold, each. */
export function earnedBy(price: number, cost: Cost, ways: MoneyWays): Price & { readonly wage: number | null } {
  return { ...soldAt(price, cost, ways, cost.cups), wage: wageAt(price, cost, ways, cost.cups) };
}
