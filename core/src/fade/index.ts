export * from './even-fade';
export * from './ring-order';
