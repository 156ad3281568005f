export * from './mix';
export * from './fill';
export * from './cure';
export * from './pot-life';
export * from './run-limit';
export * from './viscosity';
export * from './coats-to-bury';
