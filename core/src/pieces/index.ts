export * from './piece-edges';
export * from './pieces-on-cup';
