import { lengthFigure, metricUnits } from '../units';
import { EVEN_ENOUGH } from './fade-wish';

/** A pot of equal steps in spoons: hex, and ΔE00 from the one below; null for the lowest. */
export interface EqualSpoons {
  readonly seen: string;
  readonly apart: number | null;
}

/** Whether a fade will show, before any jar is opened. */
export interface FadeVerdict {
  readonly level: 'shows' | 'look' | 'stop';
  readonly says: string;
  readonly why: string;
}

/** ΔE00 between the ends below which it isn't seen, and below which hardly (rule 32). */
const NOT_SEEN = 5;
const HARDLY = 10;
/** A step so much narrower than the mean is no step to the eye. */
const DEAD = 0.35;

/**
 * What a fade comes to, in words.
 * @param ends ΔE00 between its ends
 * @param steps between neighbouring pots
 * @param bounds mm from the foot: where the pots begin and end
 */
export function fadeVerdict(
  ends: number,
  steps: readonly number[],
  equal: readonly EqualSpoons[],
  bounds: readonly number[],
): FadeVerdict {
  if (ends < NOT_SEEN)
    return {
      level: 'stop',
      says: 'This will not be seen.',
      why: `The ends are only ${ends.toFixed(1)} apart: all the work reads as one colour. Take another jar for one end, or a base that parts them.`,
    };
  if (ends < HARDLY)
    return {
      level: 'look',
      says: 'This will hardly show.',
      why: `The ends are ${ends.toFixed(1)} apart, seen close up but not from across a table. An end further off would carry.`,
    };
  const [least, most] = [Math.min(...steps), Math.max(...steps)];
  const uneven = most / Math.max(1e-6, least) > EVEN_ENOUGH;
  const from =
    most < 5
      ? 'no step is seen from arm’s length'
      : most < 10
        ? 'steps are seen close up, not from across a table'
        : 'steps are seen from across a table; more pots would smooth them';
  return {
    level: uneven ? 'look' : 'shows',
    says: 'This will show.',
    why: [
      `The ends are ${ends.toFixed(0)} apart and each pot ${least.toFixed(1)} to ${most.toFixed(1)} from the next: ${from}.`,
      uneven ? `Measure pot ${steps.indexOf(most) + 2} with a finer spoon, and the steps come out more even.` : '',
      deadStretch(equal, bounds),
    ]
      .filter((sentence) => sentence !== '')
      .join(' '),
  };
}

/** Where equal spoons would show no change, in a sentence; empty where they'd do. */
function deadStretch(equal: readonly EqualSpoons[], bounds: readonly number[]): string {
  const steps = equal.map(({ apart }) => apart ?? 0);
  const mean = steps.reduce((sum, step) => sum + step, 0) / Math.max(1, steps.length - 1);
  let best = { from: 0, to: 0 };
  let from = 0;
  steps.forEach((step, pot) => {
    if (pot > 0 && step > DEAD * mean) from = pot;
    if (pot - from > best.to - best.from) best = { from, to: pot };
  });
  if (best.to === best.from) return '';
  const mm = (value: number) => lengthFigure(value, metricUnits);
  return `Equal spoons would have left ${mm(bounds[best.from])}–${mm(bounds[best.to + 1])} mm looking like one colour.`;
}
