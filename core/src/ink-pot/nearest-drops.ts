import { MOST_DROPS } from '../ink';
import { awayAtLeast, awayOf, type DropBox, type PotJudge } from './drop-box';

/** Inks that may go into one pot, and how much. */
export interface PotQuestion extends PotJudge {
  /** ml of one drop of each ink */
  readonly dropMl: readonly number[];
  /** ml of ink that the resin bears */
  readonly mostMl: number;
  /** the most inks in the pot */
  readonly size: number;
}

/** Drops of some inks, by their places in the question. */
export interface Pot {
  readonly inks: readonly number[];
  readonly drops: readonly number[];
  /** ΔE00 from the target */
  readonly away: number;
}

/** What a search has come to. */
export interface PotAnswer {
  /** the nearest of one ink, of two, of three; left out where it is no visibly nearer than one of fewer */
  readonly pots: readonly Pot[];
  /** 0..1 */
  readonly progress: number;
  /** pots whose colour was worked out */
  readonly evaluated: number;
}

/** Another ink must bring a colour nearer by this, ΔE00, to be worth a bottle more on the bench. */
export const WORTH_AN_INK = 0.3;

/**
 * The nearest whole drops of one ink, of two, of three in one pot, each proven: boxes of drops are halved, the more hopeful
 * half first, until each is a pot or can’t hold one that is nearer than the best known (see `awayAtLeast`). A further ink
 * counts only where it brings the colour visibly nearer.
 * @returns steps through a generator, so that whoever asked can look up
 */
export function* nearestDrops(question: PotQuestion): Generator<PotAnswer, PotAnswer> {
  const { drop, size } = question;
  const pots: Pot[] = [];
  let evaluated = 0;
  let wanted = Infinity;
  for (let count = 1; count <= Math.min(size, drop.length); count += 1) {
    let best: Pot | null = null;
    const groups = groupsOf(drop.length, count)
      .map((inks) => groupOf(inks, question))
      .filter((group) => group !== null)
      .map((group) => ({ ...group, least: awayAtLeast(group.box, group.judge, Infinity) }))
      .sort((one, other) => one.least - other.least);
    for (let at = 0; at < groups.length; at += 1) {
      const { inks, judge, box, dropMl, strong } = groups[at];
      const search = (range: DropBox, least: number): void => {
        if (least >= wanted) return;
        const fitted = withinLoad(range, dropMl, question.mostMl);
        if (!fitted) return;
        const reach = (i: number) => (fitted[i][1] - fitted[i][0]) * strong[i];
        const widest = fitted.reduce((most, _, i) => (reach(i) > reach(most) ? i : most), 0);
        const [from, to] = fitted[widest];
        if (from === to) {
          const drops = fitted.map(([only]) => only);
          evaluated += 1;
          const away = awayOf(drops, judge);
          if (away < wanted) [best, wanted] = [{ inks, drops, away }, away];
          return;
        }
        const middle = Math.floor((from + to) / 2);
        const halves = [
          [from, middle],
          [middle + 1, to],
        ].map((half) => {
          const part = fitted.map((own, i): readonly [number, number] => (i === widest ? [half[0], half[1]] : own));
          return { part, least: awayAtLeast(part, judge, wanted) };
        });
        for (const half of halves.sort((one, other) => one.least - other.least)) search(half.part, half.least);
      };
      search(box, groups[at].least);
      if (at % 8 === 7)
        yield { pots: [...pots, ...(best ? [best] : [])], progress: (count - 1 + at / groups.length) / size, evaluated };
    }
    if (best) pots.push(best);
    // What the next must beat.
    wanted = Math.max(0, (pots.at(-1)?.away ?? Infinity) - WORTH_AN_INK);
  }
  return { pots, progress: 1, evaluated };
}

/** Groups of so many of some places. */
function groupsOf(all: number, count: number, from = 0): readonly (readonly number[])[] {
  if (count === 0) return [[]];
  return Array.from({ length: Math.max(0, all - from) }, (_, i) => from + i).flatMap((first) =>
    groupsOf(all, count - 1, first + 1).map((rest) => [first, ...rest]),
  );
}

function groupOf(inks: readonly number[], { under, target, drop, gloss, dropMl: all, mostMl }: PotQuestion) {
  const dropMl = inks.map((ink) => all[ink]);
  const judge: PotJudge = { under, target, drop: inks.map((ink) => drop[ink]), gloss };
  const box = withinLoad(
    inks.map(() => [1, MOST_DROPS] as const),
    dropMl,
    mostMl,
  );
  // How much a drop of each does: what does most is told apart first.
  const strong = judge.drop.map(({ K, S }) => K.reduce((sum, k, band) => sum + k + S[band], 0));
  return box && { inks, dropMl, judge, box, strong };
}

/** A box cut to where the pot bears its drops; one drop of one ink it always does. Null where none is left. */
function withinLoad(box: DropBox, dropMl: readonly number[], mostMl: number): DropBox | null {
  const least = box.reduce((sum, [from], i) => sum + from * dropMl[i], 0);
  if (least > mostMl + 1e-9 && !(box.length === 1 && box[0][0] === 1)) return null;
  return box.map(([from, to], i) => [from, Math.max(from, Math.min(to, Math.floor(from + (mostMl - least) / dropMl[i] + 1e-9)))]);
}
