import { RUNS_OVER } from '../resin';
import { tidy } from '../units';
import type { MakeMix, MakeStep } from './make';

/** What so much of one part comes to. */
export interface PourAnswer {
  /** ml of the other part that keep the ratio, and g of it on the scale */
  readonly other: number;
  readonly otherGrams: number;
  /** ml in all, and the mm of film that they leave once glitter, pot and glove have had theirs */
  readonly mix: number;
  readonly film: number;
  /** so thick it runs: ml that stay in the pot, so that it doesn't; 0 where it is no thicker than that */
  readonly leave: number;
}

/** mm of film that so much mixed resin leaves on a coat's area; 0 where there isn't enough to fill what soaks it up. */
export const filmOf = ({ area, fill, held, kept, glove }: MakeMix, ml: number): number =>
  area > 0 ? Math.max(0, ((ml * (1 - glove) - kept - fill - held) * 10) / area) : 0;

/**
 * Answers a part that was poured other than planned: how much of the other part saves the ratio, and what film results. Resin
 * off its ratio never cures, so the other part always follows.
 * @param ml really poured of the part
 */
export function answerPour({ mix }: Pick<MakeStep, 'mix'>, part: 'a' | 'b', ml: number): PourAnswer | null {
  if (!mix) return null;
  const [own, its] = part === 'a' ? [0, 1] : [1, 0];
  const byVolume = mix.ratioBy === 'volume' ? mix.ratio : [mix.ratio[0] / mix.density[0], mix.ratio[1] / mix.density[1]];
  const other = (ml * byVolume[its]) / byVolume[own];
  const film = filmOf(mix, ml + other);
  const most = ((RUNS_OVER * mix.area) / 10 + mix.kept + mix.fill + mix.held) / (1 - mix.glove);
  return {
    other: tidy(other),
    otherGrams: tidy(other * mix.density[its]),
    mix: tidy(ml + other),
    film,
    leave: film > RUNS_OVER ? tidy(ml + other - most) : 0,
  };
}
