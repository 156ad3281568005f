import { glossed, hexOf, labOf, layOver, reflectanceOf } from '../colour';
import type { CoatId, CoatOf, Design, Workshop } from '../design';
import { doseOf, inkTint, MOST_OFFERED_LOAD, potFilm, type InkDose } from '../ink';
import { groundsUnder, trialPlan } from '../plan';
import type { ItemOf } from '../stock';
import { nearestDrops, type Pot, type PotAnswer, type PotQuestion } from './nearest-drops';

/** One ink of a pot that is offered. */
export interface OfferedInk {
  readonly ink: ItemOf<'ink'>['id'];
  readonly name: string;
  readonly drops: number;
  readonly dose: InkDose;
  /** % of the resin */
  readonly load: number;
}

/** A pot of inks that comes near a colour. */
export interface OfferedPot {
  readonly inks: readonly OfferedInk[];
  /** of all together, % of the resin */
  readonly load: number;
  /** hex of what is seen of it over the coats below */
  readonly seen: string;
  /** ΔE00 from the colour wanted */
  readonly away: number;
}

/** What a search has come to. */
export interface OfferedPots {
  readonly pots: readonly OfferedPot[];
  readonly progress: number;
  readonly over: boolean;
}

/** A tinted coat of a design, where on the cup, and what it shall come to. */
export interface InkWish {
  readonly coat: CoatId;
  readonly place: string;
  /** hex */
  readonly wanted: string;
  /** the most inks in the pot */
  readonly size: number;
}

/**
 * Which inks of the shelf, and how many drops of each, come nearest to a colour in one coat as it is: with one ink, with two
 * and with three, each proven nearest. Nothing where the coat has no resin or doesn’t reach the place.
 */
export function* whichInks(design: Design, workshop: Workshop, wish: InkWish): Generator<OfferedPots, OfferedPots> {
  const asked = askedOf(design, workshop, wish);
  if (!asked) return { pots: [], progress: 1, over: true };
  const { question } = asked;
  const offered = ({ pots, progress }: PotAnswer, over: boolean): OfferedPots => ({
    pots: pots.map((pot) => offer(pot, asked)),
    progress,
    over,
  });
  const search = nearestDrops(question);
  for (;;) {
    const { value, done } = search.next();
    if (done) return offered(value, true);
    yield offered(value, false);
  }
}

/** A wish as the search takes it, and what its pots are read back with. */
interface Asked {
  readonly question: PotQuestion;
  readonly inks: readonly ItemOf<'ink'>[];
  /** of resin */
  readonly ml: number;
  /** mm */
  readonly thickness: number;
}

function askedOf(design: Design, workshop: Workshop, { coat: id, place, wanted, size }: InkWish): Asked | null {
  const coat = design.coats.find((one): one is CoatOf<'ink'> => one.id === id && one.kind === 'ink');
  const grounds = groundsUnder(design, workshop, id);
  const ml = trialPlan(design, workshop).coats.find((one) => one.id === id)?.mix?.mix ?? 0;
  const inks = workshop.shelf.filter((item): item is ItemOf<'ink'> => item.kind === 'ink');
  if (!coat || !(place in grounds) || ml === 0) return null;
  const dropMl = inks.map((ink) => ink.dropMl);
  const question: PotQuestion = {
    under: grounds[place].spectrum,
    target: labOf(reflectanceOf(wanted)),
    drop: inks.map((ink) => inkTint(ink, (ink.dropMl * 100) / ml, coat.thickness)),
    gloss: workshop.settings.gloss,
    dropMl,
    mostMl: (MOST_OFFERED_LOAD / 100) * ml,
    size,
  };
  return { question, inks, ml, thickness: coat.thickness };
}

function offer({ inks: picked, drops, away }: Pot, { question, inks, ml, thickness }: Asked): OfferedPot {
  const pot = picked.map((at, i) => ({ ink: inks[at], drops: drops[i], load: (drops[i] * inks[at].dropMl * 100) / ml }));
  const seen = layOver(potFilm(pot, thickness), question.under);
  return {
    inks: pot.map(({ ink, drops, load }) => ({ ink: ink.id, name: ink.name, drops, dose: doseOf(ink), load })),
    load: pot.reduce((sum, { load }) => sum + load, 0),
    seen: hexOf(question.gloss ? glossed(seen) : seen),
    away,
  };
}

/** A design with a tinted coat of other inks. */
export function withInks(design: Design, id: CoatId, { inks: [first, ...others] }: OfferedPot): Design {
  const also = others.map(({ ink, load }) => ({ ink, load }));
  return {
    ...design,
    coats: design.coats.map((coat) => {
      if (coat.id !== id || coat.kind !== 'ink') return coat;
      return { ...coat, ink: first.ink, load: first.load, also: also.length > 0 ? also : undefined };
    }),
  };
}
