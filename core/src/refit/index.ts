export * from './on-cup';
export * from './refit';
