import type { Design } from '../design';
import type { Plan } from '../plan';
import { standInOrder } from './in-order';

/** How far somebody is with a practice. */
export interface Score {
  readonly right: number;
  readonly of: number;
  readonly done: boolean;
  /** what to do, and then what was done, a sentence */
  readonly says: string;
  /** the rules that still speak up; of an order there are none to tell */
  readonly left: readonly string[];
}

/** Null for a design that is made in earnest. */
export function scoreOf({ practice, coats }: Design, { findings }: Pick<Plan, 'findings'>): Score | null {
  if (!practice) return null;
  if (practice.kind === 'order') {
    const ids = coats.map(({ id }) => id);
    const [right, of] = [standInOrder(ids, practice.order), practice.order.length];
    const done = right === of;
    return {
      right,
      of,
      done,
      left: [],
      says: done
        ? 'All coats stand in the order they were planned in.'
        : `${right} of ${of} coats stand in order. Drag the others to where they belong; the check says what breaks.`,
    };
  }
  // Leaving a mistake so doesn't put it right.
  const left = practice.rules.filter((rule) => findings.some((one) => one.rule === rule));
  const [right, of] = [practice.rules.length - left.length, practice.rules.length];
  return {
    right,
    of,
    left,
    done: right === of,
    says:
      right === of
        ? 'All six are put right: this cup would come out.'
        : `${right} of ${of} mistakes put right. Each is told at its coat, with why it would ruin the cup.`,
  };
}
