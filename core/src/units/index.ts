export * from './units';
export * from './id-text';
export * from './rounding';
export * from './wording';
export * from './typed';
export * from './xml-text';
export * from './table-cell';
export * from './wrap-text';
