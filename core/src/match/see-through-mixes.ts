import type { Bound } from './bound';
import { BoxJudge } from './box-judge';
import type { ShareBox } from './share-box';
import { mixesBySum, type SumSearch } from './mixes-by-sum';
import type { MixColours } from './mix-colour';
import type { Mix } from './mix-question';
import { cutTo, sizeOf } from './share-ranges';
import { widthOf } from './share-sums';

/** Which mixes to go through, and what one must satisfy. */
export interface SeeThroughSearch extends Pick<SumSearch, 'colours' | 'size'> {
  found(parts: Mix['parts']): void;
  bounds(): readonly Bound[];
  /** what else must not fall below zero in sum: worth of a step of each jar, by its place in the question */
  limits?(): readonly Float64Array[];
}

/** Shares of a see-through jar so wide apart that a plain sum says little about its mixes. */
const WIDE = 0.25;
/** No share is told apart more finely: about half a spoon of a whole pour. */
const NARROWEST = 0.02;
/** More mixes left in a box than that are told apart by smaller boxes rather than worked out one by one. */
const MANY = 60;
/** What hides is told apart sooner: nothing that lies under it comes through, so its share leaves the most open. */
const HIDING_FIRST = 2;
/** A box cut down so far is judged anew before it is halved. */
const SMALLER = 0.5;

/**
 * Every mix with a see-through jar in it that the bounds don’t rule out. Such mixes are no plain sum of
 * light; but within a small box of the see-through jars’ shares they lie between two (see `LightEnvelopes`),
 * and a sum of shares is one of amounts, weighed by face. So the see-through jars are picked first, their
 * shares halved, box by box, while some mix of the box may meet every bound, and what is left of a small box is
 * searched as hiding mixes are.
 * @returns the share of the work done
 */
export function* seeThroughMixes(search: SeeThroughSearch): Generator<number> {
  const { colours, size } = search;
  const { jars } = colours.question;
  const all = jars.map((_, jar) => jar).filter((jar) => colours.most[jar] >= 1);
  const through = all.filter((jar) => !colours.hiding[jar]);
  const keptThrough = through.filter((jar) => jars[jar].keep);
  const hiding = all.filter((jar) => colours.hiding[jar]);
  const kept = hiding.filter((jar) => jars[jar].keep);
  const free = hiding.filter((jar) => !jars[jar].keep);
  const groups = [...groupsOf(through, size)].filter(
    (group) =>
      keptThrough.every((jar) => group.includes(jar)) &&
      group.length + kept.length <= size &&
      group.length + hiding.length >= size,
  );
  const boxes = new Boxes(search);
  for (let at = 0; at < groups.length; at += 1) {
    const group = groups[at];
    const others = group.length < size ? [...kept, ...free] : [];
    const steps = boxes.within(
      { through: group, hiding: others, shares: [...group, ...others.slice(0, 1)].map(() => [0, 1] as const), strict: null },
      kept.length,
    );
    while (!steps.next().done) yield at / groups.length;
    yield (at + 1) / groups.length;
  }
}

/** Groups of one jar up to so many. */
function* groupsOf(
  jars: readonly number[],
  most: number,
  from = 0,
  picked: readonly number[] = [],
): Generator<readonly number[]> {
  if (picked.length > 0) yield picked;
  if (picked.length === most) return;
  for (let p = from; p < jars.length; p += 1) yield* groupsOf(jars, most, p + 1, [...picked, jars[p]]);
}

/** Halves boxes until what is left of them can be searched. */
class Boxes {
  private readonly judge: BoxJudge;

  constructor(private readonly search: SeeThroughSearch) {
    this.judge = new BoxJudge(search.colours);
  }

  /** Goes through a box; steps now and then, so that whoever asked can look up. */
  *within(wide: ShareBox, kept: number): Generator<void> {
    const judged = this.judge.judge(wide, this.search.bounds());
    const shares = judged && cutTo(judged.lines, wide.shares);
    if (!shares) return;
    const box = { ...wide, shares, strict: judged.strict };
    const weighed = (p: number) => widthOf(shares[p]) * (p < box.through.length ? 1 : HIDING_FIRST);
    const widest = shares.reduce((at, _, p) => (weighed(p) > weighed(at) ? p : at), 0);
    const width = Math.max(...shares.map(widthOf));
    if (width <= WIDE) {
      const left = this.mixesOf(box, judged.worths, kept, width > NARROWEST ? MANY : Infinity);
      left?.forEach(this.search.found);
      yield;
      if (left) return;
    }
    if (sizeOf(shares) < SMALLER * sizeOf(wide.shares)) {
      yield* this.within(box, kept);
      return;
    }
    const [low, high] = shares[widest];
    const middle = (low + high) / 2;
    for (const half of [
      [low, middle],
      [middle, high],
    ] as const) {
      const narrower = cutTo(
        judged.lines,
        shares.map((share, p) => (p === widest ? half : share)),
      );
      if (narrower) yield* this.within({ ...box, shares: narrower }, kept);
    }
  }

  /** What the bounds leave of a box; null when it is more than so many. */
  private mixesOf(box: ShareBox, worths: readonly Float64Array[], kept: number, most: number): readonly Mix['parts'][] | null {
    const { colours, size, limits } = this.search;
    const rows = [...worths, ...sidesOf(colours, box), ...(limits?.() ?? [])];
    const left: Mix['parts'][] = [];
    const search = mixesBySum({
      colours,
      jars: [...box.through, ...box.hiding],
      keep: box.through.length + kept,
      size,
      worths: () => rows,
      found: (parts) => left.push(parts) <= most,
    });
    while (!search.next().done) if (left.length > most) return null;
    return left.length > most ? null : left;
  }
}

/** That each share lies in its range, as sums of steps: its own face is at least, and at most, such a part of all face. */
const sidesOf = (colours: MixColours, { through, shares }: ShareBox): readonly Float64Array[] =>
  shares.flatMap((share, p) =>
    share.flatMap((end, side) =>
      end === side
        ? []
        : [
            colours.face.map((face, jar) => {
              const own = p < through.length ? jar === through[p] : colours.hiding[jar];
              return (side === 0 ? 1 : -1) * ((own ? face : 0) - end * face);
            }),
          ],
    ),
  );
