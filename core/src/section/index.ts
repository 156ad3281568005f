export * from './section';
export * from './weight';
