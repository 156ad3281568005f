export * from './spectrum';
export * from './hex';
export * from './reflectance';
export * from './lab';
export * from './film';
export { linearRgbOf } from './observer';
