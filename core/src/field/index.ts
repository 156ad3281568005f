export type * from './field';
export { flakeField, flakeFieldSteps } from './flake-field';
export * from './field-light';
export * from './lit-field';
export * from './cup-field';
export * from './region-pixels';
export * from './counted-words';
export { fieldBeside, type FadeBeside } from './fade-beside';
