export * from './device-lines';
export * from './devices-state';
export * from './simulated-scale';
export * from './simulated-room';
export * from './simulated-turner';
