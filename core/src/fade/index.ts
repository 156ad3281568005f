export * from './even-fade';
export * from './fade-wish';
export * from './plan-fade';
export * from './pot-slots';
export { plainWalk, evenWalk } from './even-walk';
export { seenFrom, type SeenFrom } from './seen-from';
export type { EqualSpoons, FadeVerdict, OtherPot, Stretch } from './fade-verdict';
