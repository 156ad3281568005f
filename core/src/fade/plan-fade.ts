import { deltaE2000, hexOf, labOf, type Lab } from '../colour';
import { flakeRain } from '../glitter';
import { tidy } from '../units';
import { evenFade, evenThinning } from './even-fade';
import { fadeVerdict, type EqualSpoons, type FadeVerdict } from './fade-verdict';
import { EVEN_ENOUGH, FadeError, MOST_POTS, type FadeMix, type FadeWish } from './fade-wish';
import { choicesFor, measured, mostAlike, stepsOf, unevennessOf, type PotChoice } from './pot-choices';

/** One pot: where it is strewn, what goes into it, and how it looks. Heights mm from the foot. */
export interface FadePot {
  readonly from: number;
  readonly to: number;
  /** with what it is strewn over its neighbours */
  readonly strewnFrom: number;
  readonly strewnTo: number;
  readonly parts: readonly { readonly item: FadeMix['parts'][number]['item']; readonly name: string; readonly ml: number }[];
  /** spoonfuls of the lower and of the upper end's mix, ml */
  readonly ofFrom: number;
  readonly ofTo: number;
  readonly ml: number;
  readonly bare: number;
  readonly seen: string;
  readonly lab: Lab;
  /** ΔE00 from the pot below; null for the lowest */
  readonly apart: number | null;
}

export interface FadePlan {
  /** what the spoonfuls of the lower and the upper end are of; null where it thins out */
  readonly names: { readonly from: string; readonly to: string | null };
  /** those of them that are mixes of several jars, to be made before any pot */
  readonly madeFirst: readonly string[];
  readonly pots: readonly FadePot[];
  /** the same stretch with equal steps in spoons, to see why not */
  readonly equal: readonly EqualSpoons[];
  /** ΔE00 between the ends, and along the way */
  readonly ends: number;
  readonly path: number;
  /** the widest step over the narrowest */
  readonly unevenness: number;
  readonly verdict: FadeVerdict;
}

/** ΔE00 between neighbours that is seen side by side but not from arm's length. */
const UNSEEN_STEP = 5;
/** So many spoons more than a pot needs are tried, and more still only where the steps stay uneven. */
const MORE = [2, 4];

/**
 * A fade in pots that change evenly to the eye, each rounded to the maker's spoon. Pots between are mixed of the
 * two ends' mixes; of the spoonfuls each pot can have, those are taken that keep all steps most alike.
 * @throws FadeError when there is no room for the pots, or nothing to strew
 */
export function planFade(wish: FadeWish): FadePlan {
  checkWish(wish);
  const count = wish.pots ?? countFor(wish);
  checkRoom(wish, count);
  const { shares, path } = wayOf(wish, count);
  const bounds = Array.from({ length: count + 1 }, (_, i) => wish.low + ((wish.high - wish.low) * i) / count);
  const strewn = shares.map((_, i) => ({
    from: Math.max(wish.low, bounds[i] - wish.overlap / 2),
    to: Math.min(wish.high, bounds[i + 1] + wish.overlap / 2),
  }));
  const place = (i: number) => (i === 0 ? 'low' : i === count - 1 ? 'high' : 'between');
  const taken = MORE.map((more) =>
    mostAlike(shares.map((share, i) => choicesFor(wish, share, wish.areaBetween(strewn[i].from, strewn[i].to), place(i), more))),
  ).reduce((plain, more) => (unevennessOf(plain) <= EVEN_ENOUGH || unevennessOf(plain) <= unevennessOf(more) ? plain : more));
  const steps = stepsOf(taken);
  const ends = deltaE2000(taken[0].lab, taken[count - 1].lab);
  const equal = equalSpoons(wish, count);
  return {
    names: { from: wish.from.name, to: wish.to?.name ?? null },
    madeFirst: [wish.from, wish.to].flatMap((end) => (end && end.parts.length > 1 ? [end.name] : [])),
    pots: taken.map((choice, i): FadePot => ({
      ...choice,
      from: bounds[i],
      to: bounds[i + 1],
      strewnFrom: strewn[i].from,
      strewnTo: strewn[i].to,
      parts: partsOf(wish, choice),
      ml: tidy(choice.ofFrom + choice.ofTo),
      apart: i === 0 ? null : steps[i - 1],
    })),
    equal,
    ends,
    path,
    unevenness: unevennessOf(taken),
    verdict: fadeVerdict(ends, steps, equal, bounds),
  };
}

function checkWish({ from, to, pots, depth, step, low, high, overlap }: FadeWish): void {
  const refuse = (sentence: string): never => {
    throw new FadeError(sentence);
  };
  if (from.parts.length === 0 || to?.parts.length === 0) refuse('An end of nothing has no colour. Give both ends a glitter.');
  if (pots !== null && !(pots >= 2 && pots <= MOST_POTS)) refuse(`A fade has 2 to ${MOST_POTS} pots: one alone is one colour.`);
  if (!(depth > 0)) refuse('At a depth of nothing no glitter is seen: pour some first.');
  if (!(step > 0)) refuse('The spoon must hold something.');
  if (!(high > low)) refuse('The fade has no height: its upper end must lie above its lower.');
  if (!(overlap >= 0)) refuse('Pots can’t overlap by less than nothing.');
}

function checkRoom({ low, high, overlap }: FadeWish, count: number): void {
  const each = (high - low) / count;
  if (each <= overlap)
    throw new FadeError(
      `Each pot has ${each.toFixed(1)} mm of wall and ${overlap} mm of overlap: they would all lie on each other. Take fewer pots, or less overlap.`,
    );
}

/** As many pots as it takes that no step is seen from arm's length, where there is room for them. */
function countFor(wish: FadeWish): number {
  const room = Math.floor((wish.high - wish.low) / Math.max(4, wish.overlap * 1.5));
  return Math.max(2, Math.min(MOST_POTS, room, Math.ceil(wayOf(wish, 2).path / UNSEEN_STEP) + 1));
}

/** Shares of the upper end's mix in each pot, or of the full depth where it thins out. */
function wayOf({ from, to, depth, under }: FadeWish, count: number): { shares: readonly number[]; path: number } {
  if (to) return evenFade(measured(from, 1), measured(to, 1), count, depth, under);
  const { depths, path } = evenThinning(measured(from, 1), depth, count + 1, under);
  // The heavy end is below, and the bare one needs no pot.
  return {
    shares: depths
      .slice(1)
      .map((one) => one / depth)
      .reverse(),
    path,
  };
}

function partsOf({ from, to }: FadeWish, { ofFrom, ofTo }: PotChoice): FadePot['parts'] {
  const sums = new Map<string, FadePot['parts'][number]>();
  for (const { item, name, ml } of [...measured(from, ofFrom), ...(to ? measured(to, ofTo) : [])])
    sums.set(item, { item, name, ml: tidy((sums.get(item)?.ml ?? 0) + ml) });
  return [...sums.values()];
}

function equalSpoons({ from, to, depth, under }: FadeWish, count: number): readonly EqualSpoons[] {
  const spectra = Array.from({ length: count }, (_, i) => {
    const share = i / (to ? count - 1 : count);
    return to
      ? flakeRain([...measured(from, 1 - share), ...measured(to, share)], depth, under)
      : flakeRain(measured(from, 1), depth * (1 - share), under);
  });
  const steps = stepsOf(spectra.map((spectrum) => ({ lab: labOf(spectrum) })));
  return spectra.map((spectrum, i) => ({ seen: hexOf(spectrum), apart: i === 0 ? null : steps[i - 1] }));
}
