export * from './after-coats';
export * from './drops-for-colour';
