import { createPlanner } from './plan-of';

/** Plans what is only tried out, with a memory of its own: a trial never pushes out what the screens show. */
export const trialPlan = createPlanner();
