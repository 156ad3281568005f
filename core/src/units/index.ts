export * from './units';
export * from './rounding';
export * from './wording';
export * from './typed';
