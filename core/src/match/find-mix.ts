import { hidingMixes } from './hiding-mixes';
import { improved, startingMix } from './improve-mix';
import { MixColours } from './mix-colour';
import { MixQuestionError, type Mix, type MixQuestion, type SearchState, type SizeAnswer } from './mix-question';
import { nearRegion } from './near-region';
import { bandBounds, SeeThroughMixes } from './see-through-mixes';

/** Differences that are ruled out one after the other, ΔE00, so that the bound rises while the search goes on. */
const RADII = [0.3, 1, 3, 9, 27, Infinity];
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
  let before: Mix | null = null;
  for (let size = Math.max(1, kept); size <= Math.min(question.size, question.jars.length, colours.steps); size += 1) {
    const start: Mix | null = startingMix(colours, before, size);
    if (!start) continue;
    const search = sizeSearch(colours, size, improved(colours, start));
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
  start: Mix,
): Generator<{ answer: SizeAnswer; progress: number }, SizeAnswer> {
  const { target, jars } = colours.question;
  let best = start;
  let bound = 0;
  const found = (parts: Mix['parts']) => {
    const mix = colours.mix(parts);
    if (mix.difference < best.difference) best = mix;
  };
  const near = remembered((within) => nearRegion(target, within));
  const bandsNear = remembered((within) => bandBounds(near(within)));
  const hiding = keptFirst(jars, (jar) => colours.hiding[jar]);
  const through = new SeeThroughMixes(colours, found);
  const answer = (proven: boolean): SizeAnswer => ({ size, best, bound: Math.min(bound, best.difference), proven });
  // Nothing that is left could win so much that it would be worth looking for.
  const nearEnough = () => bound >= best.difference - slackOf(colours.question, best.difference);
  for (const radius of RADII) {
    const { difference } = best;
    if (nearEnough()) break;
    const wanted = () => Math.min(radius, best === start ? difference - slackOf(colours.question, difference) : best.difference);
    const reached = wanted();
    if (!jars.some(({ keep }, jar) => keep && !colours.hiding[jar])) {
      const search = { colours, ...hiding, size, bounds: () => near(wanted()), found };
      for (const progress of hidingMixes(search)) {
        yield { answer: answer(false), progress: progress * 0.7 };
        if (nearEnough()) return answer(true);
      }
    }
    const sets = [...seeThroughSets(colours, size)];
    for (let at = 0; at < sets.length; at += 1) {
      through.search(sets[at], bandsNear(wanted()));
      if (nearEnough()) return answer(true);
      if (at % 64 === 0) yield { answer: answer(false), progress: 0.7 + (0.3 * at) / sets.length };
    }
    bound = Math.max(bound, Math.min(reached, best.difference));
    yield { answer: answer(false), progress: 1 };
  }
  return answer(true);
}

/** What hangs on a difference is worked out anew only when the difference has changed. */
const remembered = <Thing>(made: (within: number) => Thing): ((within: number) => Thing) => {
  let last: { readonly within: number; readonly thing: Thing } | null = null;
  return (within) => (last = last?.within === within ? last : { within, thing: made(within) }).thing;
};

/** What a nearer mix would have to win to be worth the proof, ΔE00. */
const slackOf = ({ closeEnough, closeShare }: MixQuestion, difference: number): number => closeEnough + closeShare * difference;

export const keptFirst = (
  jars: MixQuestion['jars'],
  wanted: (jar: number) => boolean,
): { jars: readonly number[]; keep: number } => {
  const all = jars.map((_, jar) => jar).filter(wanted);
  const kept = all.filter((jar) => jars[jar].keep);
  return { jars: [...kept, ...all.filter((jar) => !jars[jar].keep)], keep: kept.length };
};

/** Sets of so many jars with a see-through one among them and every kept one. */
export function* seeThroughSets({ question, hiding }: MixColours, size: number): Generator<readonly number[]> {
  const { jars, keep } = keptFirst(question.jars, () => true);
  if (hiding.every(Boolean)) return;
  function* sets(from: number, picked: readonly number[]): Generator<readonly number[]> {
    if (picked.length === size) {
      if (picked.some((jar) => !hiding[jar])) yield picked;
      return;
    }
    const last = picked.length < keep ? picked.length : jars.length - (size - picked.length);
    for (let p = from; p <= last; p += 1) yield* sets(p + 1, [...picked, jars[p]]);
  }
  yield* sets(0, []);
}

export function checkQuestion({ jars, size, total, step, depth }: MixQuestion): void {
  const refuse = (sentence: string): never => {
    throw new MixQuestionError(sentence);
  };
  if (jars.length === 0) refuse('There is no glitter to mix from: put jars on the shelf, or take a limit off.');
  if (!(size >= 1 && size <= MOST_JARS)) refuse(`A mix is searched for with 1 to ${MOST_JARS} jars.`);
  if (!(step > 0) || !(total >= step)) refuse('The mix must be at least one spoon.');
  if (total / step > MOST_STEPS) refuse(`That is over ${MOST_STEPS} spoons: take a larger spoon or a smaller mix.`);
  if (!(depth > 0)) refuse('At a depth of nothing no glitter is seen: pour some first.');
  if (jars.filter(({ keep }) => keep).length > size) refuse('More jars are to be kept than the mix may have.');
}
