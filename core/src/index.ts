/* Templates, outlines from SVG and lists of cups lean on large packages, and rings are asked for seldom: they are doors of
   their own (package.json), so that a first page needn't load them. */
export * from './units';
export * from './vessel';
export * from './colour';
export * from './glitter';
export * from './fade';
export { ringOrder } from './ring/ring-order';
export * from './ink';
export * from './resin';
export * from './stock';
export * from './regions';
export * from './motif';
export * from './areas';
export * from './design';
export { coatKinds, BARE_BASE, BARE_GRIP, LEFT_OVER, type CoatKind } from './coats';
export * from './match';
export * from './plan';
export * from './field';
export { randomStream } from './field/random';
export * from './check';
export * from './formats';
