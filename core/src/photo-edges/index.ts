export * from './found-outline';
export * from './found-card';
export * from './found-words';
