export * from './plan';
export { createPlanner, planOf } from './plan-of';
export { FULL_COVER } from './blend-outcome';
export type { Light } from './light';
export type { Step } from './coats-stage';
export * from './usual-coats';
export { handlePatch, layoutOf, layoutWeight } from './layout-stage';
