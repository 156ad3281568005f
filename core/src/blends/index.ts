export { readyBlend } from './ready-blend';
export { blendOutcome, laidBlend, FULL_COVER, type PlannedBlend } from './blend-outcome';
export type { Spread } from './spread';
export * from './scaled-blend';
export * from './compare-blends';
export * from './held-by-ways';
export * from './blend-over';
export * from './cover-curve';
