export type { Plan } from './plan';
export type { PlanTotals } from './totals';
export { createPlanner, planOf } from './plan-of';
export { materialsTaken, type MaterialTaken } from './materials-taken';
export { withJar } from './with-jar';
