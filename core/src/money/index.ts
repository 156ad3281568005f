export * from './ways';
export * from './cost';
export * from './cost-of-make';
export * from './price';
export * from './cheaper';
