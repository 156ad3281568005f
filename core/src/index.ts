/* Whatever a design, its plan and its picture need. Every folder is also a door of its own (`@aurantia/core/templates`):
   those of large packages or rare use, from rings to SVG outlines, are reached through theirs alone. */
export * from './units';
export { randomStream } from './random';
export * from './vessel';
export * from './hex';
export * from './colour';
export * from './glitter';
export * from './ink';
export * from './resin';
export * from './regions';
export * from './motif';
export * from './look';
export * from './stock';
export * from './areas';
export * from './fade';
export * from './design';
export * from './layout';
export * from './coats';
export * from './blends';
export * from './pieces';
export * from './pots';
export * from './check';
export * from './plan';
export * from './suggest';
export * from './field';
export * from './match';
export * from './formats';
export { ringOrder } from './ring';
