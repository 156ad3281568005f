/* Stars alone: see the core’s own door. */
export * from './ring-order';
export * from './plan-ring';
export * from './ring-words';
export * from './ring-bound';
export * from './sections-with-blends';
export * from './ring-of-sections';
export * from './stops-in-order';
