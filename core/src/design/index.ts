export * from './area';
export * from './blend';
export * from './coat';
export * from './design';
export * from './workshop';
export * from './starting-design';
export * from './faults';
