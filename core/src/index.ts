/* Whatever a design, its plan and its picture need. Every folder is also a door of its own (`@aurantia/core/templates`):
   those of large packages or rare use, from rings to SVG outlines, are reached through theirs alone. Stars alone, here and
   on the way to what the first page needs: a name that is handed on by itself makes the bundler bring what it needs to all
   who come through this door. */
export * from './units';
export * from './random';
export * from './same-fields';
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
export * from './learn';
export * from './device';
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
