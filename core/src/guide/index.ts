export * from './stage-pages';
export * from './first-cup';
