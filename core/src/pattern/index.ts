export * from './pattern';
export * from './pattern-of';
export * from './class-shares';
