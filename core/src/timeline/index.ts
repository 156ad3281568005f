export { bestBegin, nextAwake, timelineOf, type TimedCoat, type Timeline, type WakingHours } from './timeline';
export * from './tracks';
