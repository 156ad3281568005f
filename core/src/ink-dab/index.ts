export * from './ink-dab';
export * from './read-dab';
export * from './with-dab';
export * from './shown-on';
