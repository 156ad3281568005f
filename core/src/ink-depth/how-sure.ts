import { deltaE2000, glossed, labOf, layOver } from '../colour';
import type { CoatId, Design, Workshop } from '../design';
import { potFilm } from '../ink';
import { groundsUnder } from '../plan';
import { inkSureness } from '../stock';
import { inkCoat } from './after-coats';
import { laidInks } from './laid-inks';

/** How far a tinted coat may come out from what is told, ΔE00, one standard deviation, and what most of that is. */
export interface InkSpread {
  readonly away: number;
  /** a sentence; what it advises makes it surer */
  readonly says: string;
}

/** One standard deviation of a spread film's thickness, as a share of it, until it is weighed. */
const FILM = 0.2;

/** How sure a tinted coat's colour is at a place; null where it isn't laid there. */
export function inkSpread(design: Design, workshop: Workshop, id: CoatId, place: string): InkSpread | null {
  const coat = inkCoat(design, id);
  const inks = laidInks(design, workshop, id).filter(({ load }) => load > 0);
  const ground = groundsUnder(design, workshop, id)[place];
  if (!coat || !ground || inks.length === 0) return null;
  const seenWith = (strength: number) => {
    const seen = layOver(potFilm(inks, coat.thickness * strength), ground.spectrum);
    return labOf(workshop.settings.gloss ? glossed(seen) : seen);
  };
  const now = seenWith(1);
  /** of a spread of its strength, over both sides */
  const off = (share: number) => (deltaE2000(now, seenWith(1 + share)) + deltaE2000(now, seenWith(Math.max(0, 1 - share)))) / 2;
  const load = inks.reduce((sum, one) => sum + one.load, 0);
  const each = inks.map(({ ink, load: own }) => ({ ink, share: own / load, sure: inkSureness(ink) }));
  const least = each.reduce((worst, one) => (one.share * one.sure.strength > worst.share * worst.sure.strength ? one : worst));
  const film = off(FILM);
  // A swatch that is off is off by as much of the film as its ink makes up of what is seen.
  const tinted = Math.min(1, deltaE2000(now, seenWith(0)) / 10);
  const ink = Math.hypot(
    off(Math.hypot(...each.map(({ share, sure }) => share * sure.strength))),
    tinted * Math.hypot(...each.map(({ share, sure }) => share * sure.colour)),
  );
  const away = Math.hypot(film, ink);
  if (ink <= film) return { away, says: 'Most of it is how thick the film comes out.' };
  const read = least.ink.basis === 'dab';
  return {
    away,
    says: read
      ? `Most of it is what is known of ${least.ink.name}.`
      : `Most of it is what is known of ${least.ink.name}: reading it off a dab on the shelf makes it surer.`,
  };
}
