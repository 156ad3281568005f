import { hides } from '../glitter';
import type { LookFlake } from '../look';
import type { Around } from './around-part';
import { firstFrom } from './first-from';
import type { PartShape } from './part-shape';
import type { Stacks } from './stacks';
import type { Stamps } from './stamps';

/** Rows of a picture whose flakes come out of one stream of chance, whoever drops them. */
export const BAND = 32;

/** One layer of flakes on one part of a picture, with all that is needed to drop those of any of its rows. */
export interface FlakeLayer {
  readonly shape: PartShape;
  /** its number within the part */
  readonly layer: number;
  /** for each kind how it is drawn, and the places round the part from which it reaches in */
  readonly stamps: readonly Stamps[];
  readonly around: readonly Around[];
  readonly kinds: number;
  /** whether a kind hides all below, and which stack it makes of each there is */
  readonly hiding: readonly boolean[];
  readonly table: Uint16Array;
  /** flakes in all, and inside */
  readonly total: number;
  readonly inside: number;
  /** rows up and down that a flake reaches */
  readonly reach: number;
  readonly bands: readonly FlakeBand[];
}

/** What of a layer falls in one band of rows. */
export interface FlakeBand {
  /** its pixels, by their places among the part's */
  readonly from: number;
  readonly to: number;
  /** for each kind the places round the part in it from which its flakes reach in: the first, and how many */
  readonly outside: readonly { readonly first: number; readonly many: number }[];
  /** flakes that fall in it */
  readonly count: number;
  /** kinds inside the part, then those outside it: which of them fall, and up to which chance it is that */
  readonly groups: readonly number[];
  readonly edges: readonly number[];
}

/**
 * Gets a layer ready: how many flakes of which kind fall where.
 * @param depth flakes deep on average
 */
export function flakeLayer(
  shape: PartShape,
  layer: number,
  { flakes, depth }: { readonly flakes: readonly LookFlake[]; readonly depth: number },
  stacks: Stacks,
): FlakeLayer {
  const size = shape.pixels.length;
  const stamps = flakes.map((kind) => shape.stampsOf(kind));
  const around = flakes.map((kind, k) => shape.aroundFor(kind, stamps[k]));
  const counts = flakes.map((kind, k) => (depth * kind.share * size) / shape.meanArea(stamps[k]));
  // As dense outside as inside, so many flakes that lie over the part's edge.
  const outside = counts.map((count, k) => (count * around[k].count) / size);
  const bands = bandsOf(shape, around, counts, outside);
  return {
    shape,
    layer,
    stamps,
    around,
    kinds: flakes.length,
    hiding: flakes.map(hides),
    table: stacks.layFlakes(flakes, depth),
    total: bands.reduce((sum, { count }) => sum + count, 0),
    inside: Math.round(counts.reduce((sum, count) => sum + count, 0)),
    reach: Math.max(...stamps.map((own) => own.reach)) + 1,
    bands,
  };
}

/**
 * Shares the flakes of a layer out among its bands: those inside by the mm² of the part in each, those outside by the
 * places there.
 */
function bandsOf(
  shape: PartShape,
  around: readonly Around[],
  counts: readonly number[],
  outside: readonly number[],
): readonly FlakeBand[] {
  const whole = shape.mm.reduce((sum, own) => sum + own, 0);
  const inRows = (list: Float64Array, band: number) =>
    list
      .subarray(Math.max(0, band * BAND - shape.first), Math.max(0, (band + 1) * BAND - shape.first))
      .reduce((sum, own) => sum + own, 0);
  let [to, fallen, due] = [0, 0, 0];
  return Array.from({ length: Math.floor(shape.last / BAND) + 1 }, (_, band): FlakeBand => {
    const from = to;
    to = from + inRows(shape.counts, band);
    const share = inRows(shape.mm, band) / whole;
    const places = around.map((one) => placesOfBand(one, band, shape));
    const all = [
      ...counts.map((count) => count * share),
      ...outside.map((count, k) => (around[k].count === 0 ? 0 : (count * places[k].many) / around[k].count)),
    ];
    // One that nobody drops must not be picked by rounding.
    const groups = all.flatMap((count, at) => (count > 0 ? [at] : []));
    const sum = all.reduce((total, count) => total + count, 0);
    due += sum;
    const count = Math.round(due) - fallen;
    fallen += count;
    const edges = groups.map((_, i) => groups.slice(0, i + 1).reduce((total, at) => total + all[at], 0) / sum);
    return { from, to, outside: places, count, groups, edges };
  });
}

/** Which of the places round a part, row by row, lie in a band; those above its first and below its last count with these. */
function placesOfBand(
  { places, count }: Around,
  band: number,
  shape: PartShape,
): { readonly first: number; readonly many: number } {
  const [top, bottom] = [Math.floor(shape.first / BAND), Math.floor(shape.last / BAND)];
  if (band < top || band > bottom) return { first: 0, many: 0 };
  const first = band === top ? 0 : firstFrom(places, band * BAND, count, 2);
  return { first, many: (band === bottom ? count : firstFrom(places, (band + 1) * BAND, count, 2)) - first };
}
