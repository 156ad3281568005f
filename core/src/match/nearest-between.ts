import { deltaE2000, labOfXyz, type Lab, type Triple } from '../colour';
import { differenceAlong } from './facing-bound';

/** Steps towards one corner each; what is left then is far less than what an eye sees. */
const STEPS = 400;
const HALVINGS = 24;

/**
 * About the nearest colour to a target among all between some, whatever the amounts: from the one found so far
 * straight towards whichever corner the difference falls to the fastest, as far as it falls (M. Frank & P.
 * Wolfe, “An algorithm for quadratic programming”, Naval Research Logistics Quarterly 3, 1956).
 * It may end in a hollow of the difference, so nothing may be proven by it alone.
 * @param target L*a*b*, D65
 * @param corners XYZ, at least one
 */
export function nearestBetween(target: Lab, corners: readonly Triple[]): Lab {
  const differenceOf = (xyz: Triple): number => deltaE2000(target, labOfXyz(xyz));
  let at = corners.reduce((best, one) => (differenceOf(one) < differenceOf(best) ? one : best));
  for (let step = 0; step < STEPS; step += 1) {
    const away = differenceAlong(target, labOfXyz(at));
    const sum = (xyz: Triple) => away[0] * xyz[0] + away[1] * xyz[1] + away[2] * xyz[2];
    const towards = corners.reduce((best, one) => (sum(one) < sum(best) ? one : best));
    const between = (share: number): Triple =>
      [0, 1, 2].map((axis) => at[axis] + share * (towards[axis] - at[axis])) as unknown as Triple;
    let [from, to] = [0, 1];
    for (let halving = 0; halving < HALVINGS; halving += 1) {
      const [one, other] = [from + (to - from) / 3, to - (to - from) / 3];
      if (differenceOf(between(one)) < differenceOf(between(other))) to = other;
      else from = one;
    }
    const next = between((from + to) / 2);
    if (!(differenceOf(next) < differenceOf(at) - 1e-9)) break;
    at = next;
  }
  return labOfXyz(at);
}
