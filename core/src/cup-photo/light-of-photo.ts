import { balanceOf, type KnownPatch, type Triple } from '../colour';

/** One standard deviation of what a card really is, as a share of its light. */
const CARD = 0.02;
/** Times that, from which cards contradict each other: one is in shade, or isn't what it is said to be. */
const CONTRADICT = 4;

/** How the light of a photo is set right. */
export interface LightOfPhoto {
  /** what each primary is multiplied by, on linear sRGB */
  readonly balance: Triple;
  /** one standard deviation of each, as a share */
  readonly spread: Triple;
  readonly agree: boolean;
}

/**
 * The light as known cards tell it. Several are meant, as logarithms, and surer by the root of how many they are; where they
 * contradict each other, no surer than half of what they are apart.
 * @throws PatchError when a card is nearly black or burnt out
 */
export function lightBy(cards: readonly [KnownPatch, ...KnownPatch[]]): LightOfPhoto {
  const logs = cards.map((card) => balanceOf(card).map(Math.log));
  const of = (axis: 0 | 1 | 2) => {
    const all = logs.map((log) => log[axis]);
    const mean = all.reduce((sum, one) => sum + one, 0) / all.length;
    const apart = Math.max(...all) - Math.min(...all);
    return { times: Math.exp(mean), spread: Math.max(CARD / Math.sqrt(all.length), apart / 2), apart };
  };
  const [red, green, blue] = [of(0), of(1), of(2)];
  return {
    balance: [red.times, green.times, blue.times],
    spread: [red.spread, green.spread, blue.spread],
    agree: Math.max(red.apart, green.apart, blue.apart) <= CONTRADICT * CARD,
  };
}
