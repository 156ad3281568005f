export type { Plan } from './plan';
export { materialsOf, type PlanTotals } from './totals';
export { createPlanner, planOf } from './plan-of';
export { groundsUnder, trialPlan, trialWork } from './trial-plan';
export { materialsTaken, type MaterialTaken } from './materials-taken';
export { withJar } from './with-jar';
