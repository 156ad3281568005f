export * from './load';
export * from './ink-sorts';
