export { neighbourCost, ringOrder } from './ring-order';
export * from './plan-ring';
export * from './ring-words';
export { ringBound } from './ring-bound';
export * from './ring-of-sections';
export * from './stops-in-order';
