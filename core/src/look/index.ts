export * from './look';
export * from './look-spectrum';
