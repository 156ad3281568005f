export { causesOf, troubles, type RankedCause } from './causes-of';
export type { Cause, Trouble, TroubleFacts } from './cause';
