import type { LaidStrings, Step } from '../coats';
import type { CoatId, CoatOf, Design, Workshop } from '../design';
import { trialWork, type Plan } from '../plan';
import { wishOf } from '../strings';
import type { WetWish } from '../wet';

/** A coat of strings in its design, with what it is laid on and what runs. */
export interface StringsStep {
  readonly plan: Plan;
  readonly step: Step;
  readonly coat: CoatOf<'strings'>;
  readonly wish: WetWish;
  readonly pots: LaidStrings['pots'];
}

/** A strings coat with its step; null where it is of another kind, or gone, or nothing under it is wet. */
export function stringsStep(design: Design, workshop: Workshop, id: CoatId): StringsStep | null {
  const { plan, steps } = trialWork(design, workshop);
  const step = steps.find((one) => one.coat.id === id);
  if (step?.coat.kind !== 'strings' || step.planned.strings === null) return null;
  const { strings } = step.planned;
  return { plan, step, coat: step.coat, wish: wishOf(step.coat, strings, design.cup, plan.areas), pots: strings.pots };
}
