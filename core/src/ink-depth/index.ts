export * from './after-coats';
export * from './drops-for-colour';
export * from './how-sure';
export * from './over-bases';
