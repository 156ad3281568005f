import type { LaidStrings, Step } from '../coats';
import type { CoatId, CoatOf, Design, Workshop } from '../design';
import { trialWork, type Plan } from '../plan';
import { wishOf } from '../strings';
import { stillAfter, wetColours, wetMeasures, type WetMeasures, type WetWish } from '../wet';
import { flowPicture, type FlowPicture } from './flow-picture';

/** How the strings of a coat stand at one moment. */
export interface FlowMoment {
  /** minutes since they were laid */
  readonly minutes: number;
  readonly measures: WetMeasures;
  readonly picture: FlowPicture;
}

/** Strings as they run, as far as they are worked out. */
export interface StringFlow {
  readonly moments: readonly FlowMoment[];
  /** 0 to 1, and whether that is all */
  readonly progress: number;
  readonly over: boolean;
}

/** Minutes after laying at which one looks. */
const LOOKS = [0, 2, 5, 12, 20] as const;

/** The moments that are shown: what one would look at, and when nothing moves any more. */
export const momentsOf = (wish: WetWish): readonly number[] => {
  const still = Math.round(stillAfter(wish.drive));
  return [...LOOKS.filter((minutes) => minutes < still), still];
};

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

/** How the strings of a coat run, told again and again until nothing moves; nothing of a coat that has none. */
export function* stringFlow(design: Design, workshop: Workshop, id: CoatId): Generator<StringFlow, StringFlow> {
  const found = stringsStep(design, workshop, id);
  if (!found) return { moments: [], progress: 1, over: true };
  const { wish, coat } = found;
  const moments: FlowMoment[] = [];
  const run = wetColours(wish, momentsOf(wish));
  for (;;) {
    const { value, done } = run.next();
    if (done) return { moments, progress: 1, over: true };
    if (value.wet)
      moments.push({
        minutes: value.wet.minutes,
        measures: wetMeasures(value.wet, coat.reach),
        picture: flowPicture(value.wet, found),
      });
    yield { moments, progress: value.share, over: false };
  }
}
