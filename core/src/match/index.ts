export * from './mix-question';
export * from './shelf-question';
export * from './shelf-answer';
export * from './instead-of';
export { findMix, MOST_JARS, MOST_STEPS } from './find-mix';
export { nearRegion, liesIn, type Bound } from './near-region';
export * from './cheapest-mix';
export * from './shelf-search';
