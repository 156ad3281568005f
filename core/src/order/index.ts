export * from './order';
export * from './orders-table';
export * from './forget-person';
