export * from './region';
export * from './clip';
export * from './cone-metric';
export * from './seam';
export * from './layers';
export * from './part-of';
export * from './finely';
export * from './flat-outline';
