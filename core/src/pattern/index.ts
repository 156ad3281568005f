export * from './pattern';
export * from './pattern-of';
export * from './class-shares';
export { gradedClasses } from './graded';
