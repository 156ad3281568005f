import type { LaidPattern, Step } from '../coats';
import type { CoatId } from '../design';
import { reachedPlaces } from './reached';

/** Ink or pearl in a pattern, as the picture needs it. */
export interface PlannedPattern extends LaidPattern {
  readonly coat: CoatId;
  /** its place among the coats, from 0 */
  readonly at: number;
  /** by place that it reaches: how many of the place's layers lie under it */
  readonly under: Readonly<Record<string, number>>;
}

/** All patterns, in the order they are laid. */
export const patternsOnCup = (steps: readonly Step[]): readonly PlannedPattern[] =>
  steps.flatMap((step, at): readonly PlannedPattern[] => {
    const { pattern } = step.planned;
    if (pattern === null) return [];
    return [{ ...pattern, coat: step.coat.id, at, under: reachedPlaces(step, steps.at(-1)?.after ?? step.after) }];
  });
