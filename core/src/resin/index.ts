export * from './mix';
export * from './fill';
export * from './cure';
export * from './pot-life';
