export type { Plan } from './plan';
export type { PlanTotals } from './totals';
export { createPlanner, planOf } from './plan-of';
export { materialsTaken, type MaterialTaken } from './materials-taken';
export { withJar } from './with-jar';
export { suggestedDesign } from './suggested-coats';
export { suggestedOtherwise, type Otherwise } from './suggested-otherwise';
