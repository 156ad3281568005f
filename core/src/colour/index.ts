export * from './spectrum';
export * from './hex';
export * from './reflectance';
export * from './lab';
export * from './film';
export * from './difference-words';
export * from './balance';
export * from './chroma';
export { linearRgbOf, WHITE as WHITE_POINT, xyzOf, xyzRows, type Triple } from './observer';
