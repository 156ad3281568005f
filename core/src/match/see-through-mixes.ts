import { BANDS, xyzRows } from '../colour';
import { flakeFilm } from '../glitter';
import type { Bound } from './bound';
import { LightEnvelopes, type ShareBox } from './light-envelope';
import { mixesBySum, type SumSearch } from './mixes-by-sum';
import type { MixColours } from './mix-colour';
import type { Mix } from './mix-question';
import { cutTo, mostIn, sizeOf, widthOf, type ShareLine } from './share-ranges';

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
/** A box cut down so far is judged anew before it is halved. */
const SMALLER = 0.5;
/** Rounding must not rule out what lies on a bound. */
const TINY = 1e-9;

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
      { through: group, hiding: others, shares: group.map(() => [0, 1] as const), strict: null },
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

/** A box as the bounds see it: worths of steps by bound and jar, and the same of shares of the see-through jars alone. */
interface Judged {
  readonly worths: readonly Float64Array[];
  readonly lines: readonly ShareLine[];
  readonly strict: ShareBox['strict'];
}

class Boxes {
  private readonly envelopes: LightEnvelopes;
  private readonly reflects: readonly Float64Array[];
  private readonly by = xyzRows.map(() => new Float64Array(BANDS));
  /** the bound that ruled out the last box: most likely it does so again */
  private strictest = 0;

  constructor(private readonly search: SeeThroughSearch) {
    this.envelopes = new LightEnvelopes(search.colours);
    this.reflects = search.colours.question.jars.map(({ glitter }) => Float64Array.from(flakeFilm(glitter).R));
  }

  /** Goes through a box; steps now and then, so that whoever asked can look up. */
  *within(wide: ShareBox, kept: number): Generator<void> {
    const judged = this.judged(wide);
    const shares = judged && cutTo(judged.lines, wide.shares, wide.hiding.length > 0);
    if (!shares) return;
    const box = { ...wide, shares, strict: judged.strict };
    const widest = shares.reduce((at, share, p) => (widthOf(share) > widthOf(shares[at]) ? p : at), 0);
    const width = widthOf(shares[widest]);
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
        box.hiding.length > 0,
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

  /** The most a step of each jar adds to each bound; null when no mix of the box meets one. */
  private judged(box: ShareBox): Judged | null {
    const { face } = this.search.colours;
    const { through, hiding, shares } = box;
    const light = this.envelopes.of(box);
    const jars = [...through, ...hiding];
    const count = through.length;
    // XYZ of the sum's constant, then of what each jar adds to it.
    const colours = new Float64Array(3 * (jars.length + 1));
    for (let axis = 0; axis < 3; axis += 1) {
      const seen = xyzRows[axis];
      for (let band = 0; band < BANDS; band += 1) {
        const start = band * (2 + count);
        colours[axis] += seen[band] * light.middle[start];
        for (let p = 0; p < count; p += 1) colours[3 * (p + 1) + axis] += seen[band] * light.middle[start + 2 + p];
        this.by[axis][band] = seen[band] * light.middle[start + 1];
      }
      for (let j = count; j < jars.length; j += 1) {
        const R = this.reflects[jars[j]];
        let sum = 0;
        for (let band = 0; band < BANDS; band += 1) sum += this.by[axis][band] * R[band];
        colours[3 * (j + 1) + axis] = sum;
      }
    }
    const worths: Float64Array[] = [];
    const lines: ShareLine[] = [];
    const bounds = this.search.bounds();
    let strictest = Infinity;
    let strict: ShareBox['strict'] = null;
    for (let turn = 0; turn < bounds.length; turn += 1) {
      const place = (this.strictest + turn) % bounds.length;
      const { x, y, z, at } = bounds[place];
      let flat = at + x * colours[0] + y * colours[1] + z * colours[2];
      for (let band = 0; band < BANDS; band += 1)
        flat += Math.abs(x * xyzRows[0][band] + y * xyzRows[1][band] + z * xyzRows[2][band]) * light.off[band];
      const worth = new Float64Array(this.reflects.length);
      const own = new Float64Array(count);
      let rest = -Infinity;
      for (let j = 0; j < jars.length; j += 1) {
        const sum = flat + x * colours[3 * j + 3] + y * colours[3 * j + 4] + z * colours[3 * j + 5];
        worth[jars[j]] = sum * face[jars[j]];
        if (j < count) own[j] = sum;
        else if (sum > rest) rest = sum;
      }
      const most = mostIn({ own, rest }, shares);
      if (most < strictest) {
        strictest = most;
        strict = { own, hiding: worth.map((value, jar) => value / face[jar]) };
      }
      if (most < -TINY) {
        this.strictest = place;
        return null;
      }
      worths.push(worth);
      lines.push({ own, rest });
    }
    return { worths, lines, strict };
  }
}

/** That each share lies in its range, as sums of steps: its own face is at least, and at most, such a part of all face. */
const sidesOf = (colours: MixColours, { through, shares }: ShareBox): readonly Float64Array[] =>
  through.flatMap((own, p) =>
    shares[p].map((end, side) =>
      Float64Array.from(colours.face, (face, jar) => (side === 0 ? 1 : -1) * ((jar === own ? face : 0) - end * face)),
    ),
  );
