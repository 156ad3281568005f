export * from './string-flow';
export * from './flow-words';
export type { FlowPicture } from './flow-picture';
export * from './other-ways';
