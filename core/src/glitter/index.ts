export * from './finish';
export * from './flake';
export * from './pour';
export * from './rain';
