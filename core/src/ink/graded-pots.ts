import { tidy } from '../units';
import { dropsFor } from './load';

/** An ink whose load changes over a coat, % of the resin at its lower and its upper end. */
export interface GradedInk {
  readonly dropMl: number;
  readonly loads: readonly [number, number];
}

/** A share of a coat's resin, and how much of what is in it is the upper end's, 0 to 1. */
export interface PotWish {
  /** of 1 in all */
  readonly share: number;
  readonly upper: number;
}

/** Resin that drops are counted into, and that pots are mixed from. */
export interface StirredPot {
  readonly name: 'lower' | 'upper' | 'tinted' | 'clear';
  readonly ml: number;
  /** of each ink: whole drops, and the load, %, that they really make */
  readonly drops: readonly { readonly count: number; readonly load: number }[];
}

/** A pot of a coat that changes over the wall. */
export interface GradedPot {
  /** ml of each of the two that are stirred */
  readonly of: readonly [number, number];
  /** %, of each ink */
  readonly loads: readonly number[];
}

export interface GradedPots {
  readonly stirred: readonly [StirredPot, StirredPot];
  readonly pots: readonly GradedPot[];
}

/** What a syringe reads, ml. */
const STEP = 0.1;

/**
 * Pots of tinted resin between two loads. Drops are counted into two pots alone, where there is resin enough for whole drops to
 * be nearly what was wished for; every pot is so much of one and so much of the other, to 0.1 ml. Where all inks thin out
 * alike the two are tinted and clear, so that all drops are in one pot; else they are the coat's two ends. Amounts are rounded
 * by where each ends in the whole, so that no pot is short and none is left over by more than one step.
 * @param ml mixed resin, in all
 */
export function gradedPots(ml: number, pots: readonly PotWish[], inks: readonly GradedInk[]): GradedPots {
  const { names, loads, ofSecond } = twoStirred(inks);
  let [exact, poured] = [0, 0];
  const measured = (amount: number): number => {
    exact += amount;
    const steps = Math.max(0, Math.round((exact - poured) / STEP));
    poured += steps * STEP;
    return tidy(steps * STEP);
  };
  const first = pots.map(({ share, upper }) => measured(ml * share * (1 - ofSecond(upper))));
  const second = pots.map(({ share, upper }) => measured(ml * share * ofSecond(upper)));
  const [one, other] = [first, second].map((amounts, at): StirredPot => {
    const own = tidy(amounts.reduce((sum, amount) => sum + amount, 0));
    const drops = inks.map(({ dropMl }, ink) => {
      const counted = own > 0 ? dropsFor(loads[ink][at], own, dropMl) : { drops: 0, load: 0 };
      return { count: counted.drops, load: counted.load };
    });
    return { name: names[at], ml: own, drops };
  });
  return {
    stirred: [one, other],
    pots: pots.map(({ upper }, at) => {
      const both = first[at] + second[at];
      // A pot that nothing is spread of has the load it would have: what lies beside it was drawn into it.
      const own = both > 0 ? second[at] / both : ofSecond(upper);
      return {
        of: [first[at], second[at]],
        loads: inks.map((_, ink) => (1 - own) * one.drops[ink].load + own * other.drops[ink].load),
      };
    }),
  };
}

interface TwoStirred {
  readonly names: readonly StirredPot['name'][];
  /** of each ink, % in either */
  readonly loads: readonly (readonly number[])[];
  /** how much of the second a pot is, by how much it is of the upper end */
  ofSecond(upper: number): number;
}

function twoStirred(inks: readonly GradedInk[]): TwoStirred {
  const sum = (end: 0 | 1) => inks.reduce((total, { loads }) => total + loads[end], 0);
  const full = sum(0) >= sum(1) ? 0 : 1;
  const left = sum(full) > 0 ? sum(full === 0 ? 1 : 0) / sum(full) : 1;
  const alike = inks.every(({ loads }) => Math.abs(loads[1 - full] - left * loads[full]) < 1e-9);
  if (!alike) return { names: ['lower', 'upper'], loads: inks.map(({ loads }) => loads), ofSecond: (upper) => upper };
  return {
    names: ['tinted', 'clear'],
    loads: inks.map(({ loads }) => [loads[full], 0]),
    ofSecond: (upper) => (1 - left) * (full === 0 ? upper : 1 - upper),
  };
}
