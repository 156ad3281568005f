import { checkQuestion } from './find-mix';
import { hidingMixes } from './hiding-mixes';
import { MixColours } from './mix-colour';
import type { Mix, MixQuestion, SearchState, SizeAnswer } from './mix-question';
import { nearRegion } from './near-region';
import { seeThroughMixes } from './see-through-mixes';

/** Which mix is the cheapest of those near enough to a colour. */
export interface CheapestQuestion extends MixQuestion {
  /** what a ml of each jar costs */
  readonly prices: readonly number[];
  /** ΔE00 that it may be off */
  readonly within: number;
  /** what a cm² of face may cost at most: only cheaper ones are looked for */
  readonly below: number;
}

/** What must be saved to be worth another mix: a share of what it costs. */
const WORTH = 1e-9;

/**
 * The cheapest mix of 1, 2, … jars within a difference of a colour, for the same face: flakes of which a ml
 * covers twice as much may cost twice as much. Each answer is cheaper than those of fewer jars; none when
 * nothing near enough is. Proven, since nothing near enough is left out but what costs more.
 * @throws MixQuestionError when no mix can be asked for so
 */
export function* cheapestMix(question: CheapestQuestion): Generator<SearchState, SearchState> {
  checkQuestion(question);
  const colours = new MixColours(question);
  const { prices, step, target, within } = question;
  const cost = ({ parts }: Pick<Mix, 'parts'>): number =>
    parts.reduce((sum, { jar, steps }) => sum + steps * step * prices[jar], 0) /
    parts.reduce((sum, { jar, steps }) => sum + steps * colours.face[jar], 0);
  const bounds = nearRegion(target, within);
  const done: SizeAnswer[] = [];
  let least = question.below;
  const kept = question.jars.filter(({ keep }) => keep).length;
  for (let size = Math.max(1, kept); size <= Math.min(question.size, question.jars.length, colours.steps); size += 1) {
    let best: Mix | null = null;
    const found = (parts: Mix['parts']) => {
      if (cost({ parts }) >= least * (1 - WORTH)) return;
      const mix = colours.mix(parts);
      if (mix.difference > within) return;
      [best, least] = [mix, cost(mix)];
    };
    const state = (progress: number, proven: boolean): SearchState => ({
      answers: best ? [...done, { size, best, bound: 0, proven }] : done,
      evaluated: colours.evaluated,
      progress,
    });
    const limits = () =>
      Number.isFinite(least) ? [Float64Array.from(prices, (price, jar) => least * colours.face[jar] - price * step)] : [];
    const search = { colours, size, bounds: () => bounds, limits, found };
    for (const progress of hidingMixes(search)) yield state(progress * 0.5, false);
    for (const progress of seeThroughMixes(search)) yield state(0.5 + 0.5 * progress, false);
    done.splice(0, done.length, ...state(1, true).answers);
  }
  return { answers: done, evaluated: colours.evaluated, progress: 1 };
}
