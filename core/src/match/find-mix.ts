import { deltaE2000, type Lab } from '../colour';
import { remember } from '../remember';
import { boundFacing } from './facing-bound';
import { hidingMixes } from './hiding-mixes';
import { improved, startingMixes } from './improve-mix';
import { MixColours } from './mix-colour';
import { MixQuestionError, type Mix, type MixQuestion, type SearchState, type SizeAnswer } from './mix-question';
import { nearestBetween } from './nearest-between';
import { nearRegion } from './near-region';
import { seeThroughMixes } from './see-through-mixes';

/** Mixes of up to so many jars are proven to the last. */
const EXACT = 3;
/**
 * ΔE00 beyond which a colour is out of reach of a shelf: another colour to any eye. With see-through jars on it,
 * proving the very nearest of such mixes takes minutes, for hundredths that nobody could see.
 */
const FAR = 4;
/** The most jars a mix is searched for, and the most steps of the spoon: beyond, nobody would measure it. */
export const MOST_JARS = 5;
export const MOST_STEPS = 400;

/**
 * The nearest mix of 1, 2, … jars, each proven nearest for its size: a good mix is found by small
 * improvements, then everything that could beat it is ruled out or tried (see `nearRegion`).
 * A generator: each state is the best known so far, the last one the answer.
 * @throws MixQuestionError when no mix can be asked for so
 */
export function* findMix(question: MixQuestion): Generator<SearchState, SearchState> {
  checkQuestion(question);
  const colours = new MixColours(question);
  const done: SizeAnswer[] = [];
  const kept = question.jars.filter(({ keep }) => keep).length;
  const hiding = colours.alone.filter((_, jar) => colours.hiding[jar] && colours.most[jar] >= 1);
  const between = hiding.length > 0 ? nearestBetween(question.target, hiding) : null;
  let before: Mix | null = null;
  for (let size = Math.max(1, kept); size <= Math.min(question.size, question.jars.length, colours.steps); size += 1) {
    const [start, ...others] = startingMixes(colours, before, size);
    if (!start) continue;
    const search = sizeSearch(colours, size, [start, ...others], between);
    for (;;) {
      const { value, done: over } = search.next();
      if (over) {
        done.push(value);
        before = value.best;
        break;
      }
      yield { answers: [...done, value.answer], evaluated: colours.evaluated, progress: value.progress };
    }
  }
  return { answers: done, evaluated: colours.evaluated, progress: 1 };
}

function* sizeSearch(
  colours: MixColours,
  size: number,
  [start, ...others]: readonly [Mix, ...Mix[]],
  between: Lab | null,
): Generator<{ answer: SizeAnswer; progress: number }, SizeAnswer> {
  const { target } = colours.question;
  let best = improved(colours, start);
  const keep = (mix: Mix) => {
    if (mix.difference < best.difference) best = mix;
  };
  const found = (parts: Mix['parts']) => keep(colours.mix(parts));
  // Only what wins enough is looked for; as the best gets better, so does what is looked for.
  const wanted = () => Math.max(0, best.difference - slackOf(colours, best));
  const cuts = Math.min(MOST_CUTS, 30 + setsOf(colours.question.jars.length, size));
  // Of many jars a mix near enough ends the search: a start or two more take less time than the proof.
  for (const other of size > EXACT ? others : []) {
    if (wanted() === 0) break;
    keep(improved(colours, other));
    yield { answer: { size, best, bound: 0, proven: false }, progress: 0 };
  }
  if (wanted() === 0) return { size, best, bound: 0, proven: true };
  // Worked out anew only when that has changed.
  const near = remember((within: number) => {
    const facing = between && deltaE2000(target, between) > within ? [between, best.lab] : [best.lab];
    return [...facing.flatMap((from) => boundFacing(target, within, from, cuts) ?? []), ...nearRegion(target, within)];
  }, 1);
  const search = { colours, size, bounds: () => near(wanted()), found };
  for (const [share, before, steps] of [
    [0.5, 0, hidingMixes(search)],
    [0.5, 0.5, seeThroughMixes(search)],
  ] as const)
    for (const progress of steps) {
      yield { answer: { size, best, bound: 0, proven: false }, progress: before + share * progress };
      if (wanted() === 0) return { size, best, bound: 0, proven: true };
    }
  return { size, best, bound: wanted(), proven: true };
}

/** How closely bounds are laid for very many mixes; where there are few they would take longer than the mixes. */
const MOST_CUTS = 1500;

/** Sets of so many of some jars. */
const setsOf = (jars: number, size: number): number =>
  Array.from({ length: size }, (_, at) => (jars - at) / (at + 1)).reduce((sets, factor) => sets * factor, 1);

/** What a nearer mix would have to win to be worth the proof, ΔE00: nothing for few jars, which are soon gone through. */
const slackOf = ({ question: { closeEnough, closeShare }, hiding }: MixColours, { parts, difference }: Mix): number =>
  parts.length > EXACT || (difference > FAR && hiding.includes(false)) ? closeEnough + closeShare * difference : 0;

export function checkQuestion({ target, jars, size, total, step, depth }: MixQuestion): void {
  const refuse = (sentence: string): never => {
    throw new MixQuestionError(sentence);
  };
  if (jars.length === 0) refuse('There is no glitter to mix from: put jars on the shelf, or take a limit off.');
  if (!target.every(Number.isFinite)) refuse('A mix is searched for near a colour: choose one.');
  if (!(size >= 1 && size <= MOST_JARS)) refuse(`A mix is searched for with 1 to ${MOST_JARS} jars.`);
  if (!(step > 0) || !(total >= step)) refuse('The mix must be at least one spoon.');
  if (total / step > MOST_STEPS) refuse(`That is over ${MOST_STEPS} spoons: take a larger spoon or a smaller mix.`);
  if (!(depth > 0)) refuse('At a depth of nothing no glitter is seen: pour some first.');
  if (jars.filter(({ keep }) => keep).length > size) refuse('More jars are to be kept than the mix may have.');
}
