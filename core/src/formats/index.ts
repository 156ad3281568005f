export * from './design-file';
export * from './json-schema';
export * from './card';
export * from './fade-words';
export * from './card-text';
export * from './cup-drawing';
export * from './design-line';
export * from './design-summary';
