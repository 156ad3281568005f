export * from './even-fade';
export * from './fade-wish';
export * from './plan-fade';
export * from './pot-slots';
export { plainWalk, evenWalk } from './even-walk';
export { seenFrom, type SeenFrom } from './seen-from';
export { HARDLY, type EqualSpoons, type FadeVerdict, type OtherPot, type Stretch } from './fade-verdict';
