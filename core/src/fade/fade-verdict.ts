import type { Finish, Part } from '../glitter';
import { EVEN_ENOUGH } from './fade-wish';

/** What a pot could have been: proportions, and flakes deep that stay. */
export interface OtherPot {
  readonly parts: readonly Part[];
  readonly finishes: readonly Finish[];
  readonly kept: number;
}

/** A pot of equal steps in spoons: hex, and ΔE00 from the one before; null for the first. */
export interface EqualSpoons extends OtherPot {
  readonly seen: string;
  readonly apart: number | null;
}

/** Whether a fade will show, before any jar is opened. */
export interface FadeVerdict {
  readonly level: 'shows' | 'look' | 'stop';
  readonly says: string;
  readonly why: string;
}

/** Pots in a row, first and last, counted from 0. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** ΔE00 between the ends below which it isn't seen, and below which hardly (rule 32). */
export const NOT_SEEN = 5;
export const HARDLY = 10;
/** ΔE00 under which nobody tells two apart, even side by side. */
const JUST_SEEN = 1;
/** A step so much narrower than the mean is no step to the eye. */
const DEAD = 0.35;

interface Judged {
  /** ΔE00 from one to another that are furthest apart: a fade there and back has like ends */
  readonly span: number;
  readonly steps: readonly number[];
  /** the same before they are rounded to spoons */
  readonly unrounded: readonly number[];
  /** pots, counted from 0, that would make the steps more even if they were measured finer; worked out */
  readonly finer: readonly number[];
  /** a finer spoon than the maker's that it takes to follow the fade, ml; null where the maker's own does */
  readonly spoon: { readonly ml: number; readonly own: number } | null;
}

/** What a fade comes to, in words. */
export function fadeVerdict({ span, steps, unrounded, finer, spoon }: Judged): FadeVerdict {
  if (span < NOT_SEEN)
    return {
      level: 'stop',
      says: 'This will not be seen.',
      why: `Its colours are only ${span.toFixed(1)} apart: all the work reads as one. Take another jar for one stop, or a base that parts them.`,
    };
  if (span < HARDLY)
    return {
      level: 'look',
      says: 'This will hardly show.',
      why: `Its colours are ${span.toFixed(1)} apart, seen close up but not from across a table. A stop further off would carry.`,
    };
  const [least, most] = [Math.min(...steps), Math.max(...steps)];
  const uneven = ratioOf(steps) > EVEN_ENOUGH;
  const from =
    most < 5
      ? 'no step is seen from arm’s length'
      : most < 10
        ? 'steps are seen close up, not from across a table'
        : 'steps are seen from across a table; more pots would smooth them';
  return {
    level: uneven || spoon ? 'look' : 'shows',
    says: 'This will show.',
    why: [
      `Its colours are ${span.toFixed(0)} apart and each pot ${least.toFixed(1)} to ${most.toFixed(1)} from the next: ${from}.`,
      spoon
        ? `A spoon of ${spoon.own} ml can’t follow it without turning back: its pots are measured to ${spoon.ml} ml. Take a finer spoon or a scale, or fewer pots.`
        : '',
      uneven ? remedy(unrounded, finer) : '',
    ]
      .filter((sentence) => sentence !== '')
      .join(' '),
  };
}

/** What makes uneven steps even: other places for the stops, or the pots that are worth a finer spoon; nothing where neither is. */
function remedy(unrounded: readonly number[], finer: readonly number[]): string {
  if (ratioOf(unrounded) > EVEN_ENOUGH)
    return 'The stops lie where the eye doesn’t have them: “Even to the eye” moves them, or leave them if you want it so.';
  if (finer.length === 0) return '';
  const pots = finer.map((pot) => pot + 1);
  return `Measure ${pots.length === 1 ? `pot ${pots[0]}` : `pots ${pots.join(' and ')}`} with a finer spoon, and the steps come out more even.`;
}

const ratioOf = (steps: readonly number[]): number => Math.max(...steps) / Math.max(1e-6, Math.min(...steps));

/** The longest row of pots that nobody tells apart; null when each shows. */
export function deadStretch(steps: readonly number[]): Stretch | null {
  const mean = steps.reduce((sum, step) => sum + step, 0) / Math.max(1, steps.length);
  if (steps.length > 0 && mean < JUST_SEEN) return { from: 0, to: steps.length };
  let best: Stretch = { from: 0, to: 0 };
  let from = 0;
  steps.forEach((step, i) => {
    if (step > DEAD * mean) from = i + 1;
    if (i + 1 - from > best.to - best.from) best = { from, to: i + 1 };
  });
  return best.to === best.from ? null : best;
}

/** Steps that stand out, by the pot they lead to. */
export const choppySteps = (steps: readonly number[]): readonly number[] => {
  const least = Math.min(...steps);
  return steps.flatMap((step, i) => (step > HARDLY && step > EVEN_ENOUGH * least ? [i + 1] : []));
};
