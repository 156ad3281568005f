export type * from './field';
export {
  droppedStripe,
  droppedStripeSteps,
  fieldOf,
  fieldWork,
  flakeField,
  stripesOf,
  type DroppedStripe,
  type FieldWork,
} from './flake-field';
export * from './field-light';
export * from './lit-field';
export * from './cup-field';
export * from './counted-words';
export { fieldBeside, type FadeBeside } from './fade-beside';
