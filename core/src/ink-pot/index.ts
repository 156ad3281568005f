export { nearestDrops, WORTH_AN_INK, type Pot, type PotAnswer, type PotQuestion } from './nearest-drops';
export { awayAtLeast, awayOf, seenOver, type PotJudge } from './drop-box';
export * from './which-inks';
