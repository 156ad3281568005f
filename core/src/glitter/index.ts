export * from './flake';
export * from './pour';
export * from './rain';
