export * from './load';
export * from './ink-sorts';
export * from './graded-pots';
