export * from './patterns-on-cup';
export * from './reached';
