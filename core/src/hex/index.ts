export * from './hex';
