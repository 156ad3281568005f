export * from './even-fade';
export * from './ring-order';
export * from './fade-wish';
export * from './plan-fade';
export type { EqualSpoons, FadeVerdict } from './fade-verdict';
