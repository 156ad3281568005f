export * from './mix';
export * from './fill';
export * from './cure';
