export * from './section';
export * from './section-at';
export * from './spot';
export * from './weight';
export * from './growth';
