export * from './planned-areas';
export * from './places';
export { surfaceOf, type PlannedSurface } from './surface';
export { handlePatch, layoutOf, layoutWeight } from './split-cup';
export { potId, slicesOfFade, strewnAreas, type FadePlaces, type FadeSlice, type FadeStretch } from './fade-slices';
export { levelsOfCoats, type CoatLevels } from './coat-ends';
export { liesBetween, startingHeights } from './height-parts';
