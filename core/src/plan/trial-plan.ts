import type { Grounds } from '../coats';
import type { CoatId, Design, Workshop } from '../design';
import { createWorkPlanner } from './plan-of';
import type { Plan } from './plan';

/**
 * Plans what is only tried out, with the cup before and after each coat. It has a memory of its own: a trial never pushes out
 * what the screens show.
 */
export const trialWork = createWorkPlanner();

/** Plans what is only tried out. */
export const trialPlan = (...given: Parameters<typeof trialWork>): Plan => trialWork(...given).plan;

/** What a coat of a design finds at each place; nothing where there is no such coat. */
export const groundsUnder = (design: Design, workshop: Workshop, coat: CoatId): Grounds =>
  trialWork(design, workshop).steps.find((one) => one.coat.id === coat)?.before ?? {};
