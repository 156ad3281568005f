export * from './laid-lines';
export * from './ridge-spread';
export * from './thickness-steps';
export * from './wet-colour';
export * from './wet-film';
export * from './wet-measures';
export * from './wet-wish';
export * from './wet-flow';
export { stretchGrid, type WetGrid } from './wet-grid';
