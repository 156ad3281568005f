export * from './laid-lines';
export * from './ridge-spread';
export * from './wet-colour';
export * from './wet-film';
export * from './wet-measures';
export * from './wet-wish';
export * from './wet-flow';
export { stretchGrid } from './wet-grid';
