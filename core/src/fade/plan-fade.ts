import { deltaE2000, hexOf, labOf, type Lab } from '../colour';
import { coarsestCut, gramsPerMl, type Part } from '../glitter';
import { tidy } from '../units';
import { freshPot, withCastOff } from './cast-off-pots';
import {
  choppySteps,
  deadStretch,
  fadeVerdict,
  type EqualSpoons,
  type FadeVerdict,
  type OtherPot,
  type Stretch,
} from './fade-verdict';
import { FadeError, type FadeMix, type FadeWish } from './fade-wish';
import { exactChoice, stepsOf, unevennessOf, worthMeasuringFiner, type PotChoice } from './pot-choices';
import { potsOnSpoons } from './pots-on-spoons';
import { seenFrom, type SeenFrom } from './seen-from';
import { coverAt, eachJarOnce, evenLegs, legsOf, measured, seenOnLeg, type Leg } from './way-of-fade';

/** So many ml of a stop's mix, or of a jar. */
export interface Spoonful {
  /** the stop it is the mix of, counted from 0; null of a jar, where the pot is laid as it was weighed */
  readonly stop: number | null;
  readonly name: string;
  readonly ml: number;
  /** for those who weigh */
  readonly gramsPerMl: number;
}

/** One pot: what goes into it, and how it looks. */
export interface FadePot {
  readonly parts: readonly { readonly item: FadeMix['parts'][number]['item']; readonly name: string; readonly ml: number }[];
  readonly spoons: readonly Spoonful[];
  /** whether it is as it was weighed at a cup before, whatever the stops say */
  readonly weighed: boolean;
  /** ml of what the pot before cast off that it is begun with */
  readonly fromCastOff: number;
  /** the same jar by jar: it is in `parts`, but no jar gives it */
  readonly reused: readonly { readonly item: FadeMix['parts'][number]['item']; readonly ml: number }[];
  readonly ml: number;
  readonly gramsPerMl: number;
  /** flakes deep that stay, all passes; ml and share of one pour that are cast off */
  readonly kept: number;
  readonly castOff: number;
  readonly bare: number;
  readonly seen: string;
  readonly lab: Lab;
  /** what it was before it was rounded to spoons */
  readonly before: OtherPot;
  /** share of the way from its stop's base to the next one's */
  readonly base: { readonly stop: number; readonly share: number };
  /** ΔE00 from the pot before; null for the first */
  readonly apart: number | null;
}

/** A mix of several jars, as much as the pots take of it. */
export interface MadeFirst {
  readonly name: string;
  readonly ml: number;
  readonly gramsPerMl: number;
  readonly parts: readonly { readonly name: string; readonly ml: number; readonly gramsPerMl: number }[];
}

export interface FadePlan {
  /** mixes of several jars that pots take spoonfuls of: to be made before any pot */
  readonly madeFirst: readonly MadeFirst[];
  readonly pots: readonly FadePot[];
  /** pots in the order they are poured, counted from 0: the lightest end first, so that no dark flake strays onto it */
  readonly order: readonly number[];
  /** the same with equal steps in spoons, to see why not */
  readonly equal: readonly EqualSpoons[];
  readonly deadInEqual: Stretch | null;
  readonly dead: Stretch | null;
  readonly choppy: readonly number[];
  /** ΔE00 between the ends, along the way, and between the colours furthest apart */
  readonly ends: number;
  readonly path: number;
  readonly span: number;
  /** the widest step over the narrowest */
  readonly unevenness: number;
  /** pots it takes that no step is seen from arm's length */
  readonly potsToHide: number;
  /** where the stops would lie evenly to the eye, shares of the way */
  readonly evenAt: readonly number[];
  /** share left bare after each pass, in the barest pot and in the fullest */
  readonly passes: readonly { readonly least: number; readonly most: number }[];
  readonly seenFrom: readonly SeenFrom[];
  /** what spoons pour more than the wall needs, ml a pour, and as a share of what it needs */
  readonly surplus: { readonly ml: number; readonly share: number };
  /** ml of the spoon that follows it: the maker's, or a finer one */
  readonly spoon: number;
  readonly verdict: FadeVerdict;
}

/** ΔE00 between neighbours that is seen side by side but not from arm's length. */
export const UNSEEN_STEP = 5;
/**
 * A fade in pots that change evenly to the eye from stop to stop and never turn back, each rounded to the maker's spoon,
 * or to a finer one where that can't follow. Of the spoonfuls each pot can have, those are taken that keep all steps
 * most alike and pour little over.
 * @throws FadeError when there is no room for the pots, nothing to strew, or pots too small to be measured
 */
export function planFade(wish: FadeWish): FadePlan {
  checkWish(wish);
  const { pots: places, lengths } = evenLegs(wish);
  const ideal = places.map(({ leg, share }, i) => exactChoice(wish, { leg, share, area: wish.areas[i] }));
  const needed = ideal.map(({ ofFrom, ofTo }) => ofFrom + ofTo);
  const exact = places.map(({ leg, share }) => seenOnLeg(leg, share, wish.depth));
  const unrounded = stepsOf(exact.map((spectrum) => ({ lab: labOf(spectrum) })));
  const { alike, spoon } = potsOnSpoons(wish, places, ideal);
  const order = orderOf(alike);
  const taken = wish.castOff
    ? withCastOff(wish, places, alike, order)
    : alike.map((choice, pot) => freshPot(wish, places, choice, pot));
  const weighed = taken.map((_, i) => wish.weighed?.has(i) ?? false);
  const steps = stepsOf(taken);
  const surplus = taken.reduce((sum, { ofFrom, ofTo, fromCastOff }, i) => {
    const poured = ofFrom + ofTo + fromCastOff;
    return weighed[i] || poured === 0 ? sum : sum + poured - needed[i];
  }, 0);
  const equal = equalSpoons(wish);
  const path = lengths.reduce((sum, length) => sum + length, 0);
  const span = Math.max(...taken.flatMap((one, i) => taken.slice(i + 1).map((other) => deltaE2000(one.lab, other.lab))));
  const equalSteps = equal.flatMap(({ apart }) => (apart === null ? [] : [apart]));
  const spoons = taken.map((choice, i) => spoonsAsWeighed(wish, i) ?? spoonsOf(wish, i, places[i].leg, choice));
  return {
    madeFirst: madeFirstOf(wish, spoons.flat()),
    pots: taken.map((choice, i): FadePot => {
      const parts = choice.parts ?? eachJarOnce(mixed(places[i].leg, choice));
      const poured = parts.reduce((sum, { ml }) => sum + ml, 0);
      return {
        parts,
        spoons: spoons[i],
        weighed: weighed[i],
        fromCastOff: choice.fromCastOff,
        reused: choice.reused,
        ml: tidy(poured),
        // What it weighs with no cast-off in it: that is of the same jars.
        gramsPerMl: weightOf(wish.weighed?.get(i) ?? mixed(places[i].leg, alike[i])),
        kept: choice.kept,
        castOff: castOffOf(choice.kept, wish),
        bare: Math.exp(-choice.kept),
        seen: hexOf(choice.spectrum),
        lab: choice.lab,
        before: otherPot(places[i].leg, places[i].share, wish.depth),
        base: { stop: wish.slots[i].stop, share: wish.slots[i].step === 0 ? 0 : places[i].share },
        apart: i === 0 ? null : steps[i - 1],
      };
    }),
    order,
    equal,
    deadInEqual: deadStretch(equalSteps),
    dead: deadStretch(steps),
    choppy: choppySteps(steps),
    ends: deltaE2000(taken[0].lab, taken[taken.length - 1].lab),
    path,
    span,
    unevenness: unevennessOf(taken),
    potsToHide: Math.max(2, wish.stops.filter(({ cover }) => cover > 0).length, Math.ceil(path / UNSEEN_STEP) + 1),
    evenAt: evenPlaces(lengths),
    passes: Array.from({ length: wish.passes }, (_, pass) => {
      const bare = taken.map(({ kept }) => Math.exp((-kept * (pass + 1)) / wish.passes));
      return { least: Math.min(...bare), most: Math.max(...bare) };
    }),
    seenFrom: seenFrom(
      taken.map(({ lab }, i) => ({ lab, along: wish.along[i] })),
      Math.max(...wish.stops.flatMap(({ mix }) => mix.parts.map(({ glitter }) => coarsestCut(glitter)))),
    ),
    surplus: {
      ml: tidy(surplus),
      share:
        surplus /
        Math.max(
          1e-9,
          needed.reduce((sum, ml, i) => (weighed[i] ? sum : sum + ml), 0),
        ),
    },
    spoon,
    verdict: fadeVerdict({
      span,
      steps,
      unrounded,
      // What was weighed is meant to be so: no other spoon mends it.
      finer: weighed.includes(true) ? [] : worthMeasuringFiner(taken, ideal),
      spoon: spoon < wish.step ? { ml: spoon, own: wish.step } : null,
    }),
  };
}

function checkWish({ stops, depth, step, along, overlap }: FadeWish): void {
  const refuse = (sentence: string): never => {
    throw new FadeError(sentence);
  };
  if (stops.some(({ mix, cover }) => cover > 0 && mix.parts.length === 0))
    refuse('A stop of nothing has no colour: give each a glitter that is on the shelf.');
  if (!(depth > 0)) refuse('At a depth of nothing no glitter is seen: pour some first.');
  if (!(step > 0)) refuse('The spoon must hold something.');
  const narrowest = Math.min(...along);
  if (narrowest < 1)
    refuse(`There are more pots than millimetres: the narrowest would have ${narrowest.toFixed(1)} mm of wall. Take fewer pots.`);
  if (narrowest <= overlap)
    refuse(
      `The narrowest pot has ${narrowest.toFixed(1)} mm of wall and ${overlap} mm of overlap: they would all lie on each other. Take fewer pots, or less overlap.`,
    );
}

const orderOf = (pots: readonly PotChoice[]): readonly number[] => {
  const order = pots.map((_, i) => i);
  return pots[0].lab[0] >= pots[pots.length - 1].lab[0] ? order : order.reverse();
};

/** Share of a pour that isn't held: what is kept of it falls behind what is poured as the glue fills up. */
function castOffOf(kept: number, { hold, passes }: FadeWish): number {
  if (hold === null || kept === 0) return 0;
  const each = Math.min(0.9999 * hold, kept / passes);
  return 1 - each / (-hold * Math.log(1 - each / hold));
}

const mixed = ({ from, to }: Leg, { ofFrom, ofTo }: Pick<PotChoice, 'ofFrom' | 'ofTo'>) => [
  ...measured(from.mix, ofFrom),
  ...measured(to.mix, ofTo),
];

/** Jar by jar what a pot was weighed of; null where it wasn't. */
const spoonsAsWeighed = ({ weighed }: FadeWish, pot: number): readonly Spoonful[] | null =>
  weighed?.get(pot)?.map(({ name, glitter, ml }) => ({ stop: null, name, ml, gramsPerMl: gramsPerMl(glitter) })) ?? null;

/** A leg's two mixes by the stops they come from; a bare stop has none of its own. */
function spoonsOf({ stops, slots }: FadeWish, pot: number, { from, to }: Leg, { ofFrom, ofTo }: PotChoice): readonly Spoonful[] {
  const first = Math.min(slots[pot].stop, stops.length - 2);
  return [
    { stop: stops[first].cover === 0 ? first + 1 : first, name: from.mix.name, ml: ofFrom, gramsPerMl: weightOf(from.mix.parts) },
    { stop: stops[first + 1].cover === 0 ? first : first + 1, name: to.mix.name, ml: ofTo, gramsPerMl: weightOf(to.mix.parts) },
  ].filter(({ ml }) => ml > 0);
}

function madeFirstOf({ stops }: FadeWish, spoons: readonly Spoonful[]): readonly MadeFirst[] {
  return stops.flatMap(({ mix }, stop) => {
    const ml = spoons.reduce((sum, one) => sum + (one.stop === stop ? one.ml : 0), 0);
    if (ml === 0 || mix.parts.length < 2) return [];
    const parts = measured(mix, ml).map(({ name, glitter, ml: of }) => ({ name, ml: tidy(of), gramsPerMl: gramsPerMl(glitter) }));
    return [{ name: mix.name, ml: tidy(ml), gramsPerMl: weightOf(mix.parts), parts }];
  });
}

/** What a ml of a mix weighs, poured; of nothing, as water. */
function weightOf(parts: readonly Part[]): number {
  const ml = parts.reduce((sum, part) => sum + part.ml, 0);
  return ml === 0 ? 1 : parts.reduce((sum, part) => sum + part.ml * gramsPerMl(part.glitter), 0) / ml;
}

/** What a maker without a plan would do: equal steps in spoons and in amount from stop to stop. */
function equalSpoons({ stops, slots, depth }: FadeWish): readonly EqualSpoons[] {
  const legs = legsOf(stops);
  const pots = slots.map(({ stop, step, of }) => {
    const leg = legs[Math.min(stop, legs.length - 1)];
    const share = stop === legs.length ? 1 : step / of;
    return { ...otherPot(leg, share, depth), spectrum: seenOnLeg(leg, share, depth) };
  });
  const steps = stepsOf(pots.map(({ spectrum }) => ({ lab: labOf(spectrum) })));
  return pots.map(({ spectrum, ...pot }, i) => ({ ...pot, seen: hexOf(spectrum), apart: i === 0 ? null : steps[i - 1] }));
}

function otherPot(leg: Leg, share: number, depth: number): OtherPot {
  const parts = leg.same ? leg.from.mix.parts : [...measured(leg.from.mix, 1 - share), ...measured(leg.to.mix, share)];
  return { parts, finishes: parts.map(({ finish }) => finish), kept: depth * coverAt(leg, share) };
}

/** Places that give each leg wall by how much its colour changes; at least a little to each. */
function evenPlaces(lengths: readonly number[]): readonly number[] {
  const floor = 0.03;
  const path = lengths.reduce((sum, length) => sum + length, 0);
  const wide = lengths.map((length) => (path === 0 ? 1 / lengths.length : Math.max(floor, length / path)));
  const whole = wide.reduce((sum, one) => sum + one, 0);
  let at = 0;
  return [0, ...wide.map((one) => Number(Math.min(1, (at += one / whole)).toFixed(3)))];
}
