export * from './six-mistakes';
export { toPutInOrder } from './in-order';
export * from './score';
