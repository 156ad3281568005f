export * from './belief';
export * from './learn-hold';
export * from './set-aside';
export * from './reading';
export * from './learnt';
export * from './learnt-words';
