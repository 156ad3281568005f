export * from './palette';
export * from './make-palette';
export * from './palette-files';
export * from './swatch-card';
export * from './sample-sheet';
