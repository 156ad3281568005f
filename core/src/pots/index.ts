export type { PlannedFade, PlannedPot } from './planned-fade';
export { createFadePlanner, type LaidFade } from './lay-fades';
export { drawnParts } from './drawn-parts';
export * from './matching-base';
export * from './fade-helps';
export * from './with-matching-base';
