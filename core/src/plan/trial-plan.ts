import type { Spectrum } from '../colour';
import type { CoatId, Design, Workshop } from '../design';
import { createWorkPlanner } from './plan-of';
import type { Plan } from './plan';

/* What is only tried out has a memory of its own: a trial never pushes out what the screens show. */
const trial = createWorkPlanner();

/** Plans what is only tried out. */
export const trialPlan = (...given: Parameters<typeof trial>): Plan => trial(...given).plan;

/** What a coat of a design finds at a place; null where there is no such coat or place. */
export const groundUnder = (design: Design, workshop: Workshop, coat: CoatId, place: string): Spectrum | null => {
  const step = trial(design, workshop).steps.find((one) => one.coat.id === coat);
  return step && place in step.before ? step.before[place].spectrum : null;
};
