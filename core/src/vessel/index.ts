export * from './station';
export * from './wall';
export * from './flatten';
export * from './cup';
export * from './bands';
export * from './volume-check';
