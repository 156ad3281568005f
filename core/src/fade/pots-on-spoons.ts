import { tidy } from '../units';
import { EVEN_ENOUGH, FadeError, type FadeWish } from './fade-wish';
import { choicesFor, mostAlike, unevennessOf, type PotChoice } from './pot-choices';
import type { Leg } from './way-of-fade';

/** So many spoons more than a pot needs are tried. */
const MORE = 4;
/** Parts of the maker's spoon that are tried where whole ones can't follow the fade, and ml that a fine scale weighs. */
const FINER = [2, 5, 10];
const FINEST = 0.01;

/** The pots on the coarsest spoon that can follow the fade, the maker's own first. */
export function potsOnSpoons(
  wish: FadeWish,
  places: readonly { readonly leg: Leg; readonly share: number }[],
  ideal: readonly PotChoice[],
): { readonly alike: readonly PotChoice[]; readonly spoon: number } {
  const on = (spoon: number, strict: boolean) =>
    mostAlike(
      places.map(({ leg, share }, i) => choicesFor(wish, { leg, share, area: wish.areas[i] }, { step: spoon, more: MORE })),
      ideal,
      strict,
    );
  const own = on(wish.step, true);
  if (own) return { alike: own, spoon: wish.step };
  // Once another spoon has to be taken, it may as well be one that makes the steps even.
  let finer: { alike: readonly PotChoice[]; spoon: number } | null = null;
  for (const spoon of [...FINER.map((part) => tidy(wish.step / part)), FINEST]) {
    const alike = on(spoon, true);
    if (!alike) continue;
    if (finer === null || unevennessOf(alike) < unevennessOf(finer.alike)) finer = { alike, spoon };
    if (unevennessOf(finer.alike) <= EVEN_ENOUGH) break;
  }
  if (finer) return finer;
  // Pots that differ by less than can be weighed become one to the eye.
  const alike = on(FINEST, false);
  if (alike) return { alike, spoon: FINEST };
  throw new FadeError(
    'The pots are too small: even weighed to 0.01 ml they would turn back on their way. Take fewer pots, or a longer stretch.',
  );
}
