export * from './even-fade';
export { neighbourCost, ringOrder } from './ring-order';
export * from './plan-ring';
export * from './ring-words';
export { ringBound } from './ring-bound';
export * from './fade-wish';
export * from './plan-fade';
export type { EqualSpoons, FadeVerdict } from './fade-verdict';
