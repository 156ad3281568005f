import { flakeFace } from '../glitter';
import type { LookFlake } from '../look';
import { aroundPart, runsOfPart, shareAtEdge, type Around, type PartRuns } from './around-part';
import type { FieldRequest } from './field';
import { dotStamps, hexagonStamps, type Stamps } from './stamps';

/** Share of a part at its edge under which flakes from outside aren't dropped: it would be under half a percent barer. */
const HARDLY_AN_EDGE = 0.01;
/** How many widths of flake a taper is drawn with. */
const WIDTHS = 8;
const NOWHERE: Around = { places: new Int32Array(0), count: 0 };

/** One part of a picture as flakes find it, whatever falls on it: worked out once for all of its layers. */
export class PartShape {
  /** number of the part, from 1 */
  readonly part: number;
  /** no pixel is missing between the first and the last */
  readonly unbroken: boolean;
  readonly first: number;
  readonly last: number;
  /** pixels a mm round the wall, by row; the same in all of its rows when even */
  readonly scales: Float64Array;
  readonly even: boolean;
  readonly narrowest: number;
  /** the width that flakes are drawn at, by row */
  readonly level: Uint8Array;
  /** for each of its rows, from its first: its pixels, and the same counted as the mm they stand for */
  readonly counts: Float64Array;
  readonly mm: Float64Array;
  private readonly widths: readonly number[];
  readonly runs: PartRuns;
  private readonly around = new Map<number, Around>();
  private readonly stamps = new Map<number, Stamps>();

  constructor(
    private readonly request: FieldRequest,
    index: number,
    readonly pixels: Uint32Array,
  ) {
    const { width, height, columnsPerMm } = request;
    this.part = index + 1;
    this.unbroken = pixels[pixels.length - 1] - pixels[0] === pixels.length - 1;
    this.first = Math.floor(pixels[0] / width);
    this.last = Math.floor(pixels[pixels.length - 1] / width);
    this.scales = new Float64Array(height);
    for (let row = this.first; row <= this.last; row += 1) this.scales[row] = columnsPerMm(row);
    const inUse = this.scales.subarray(this.first, this.last + 1);
    const widest = inUse.reduce((a, b) => Math.max(a, b));
    this.narrowest = inUse.reduce((a, b) => Math.min(a, b));
    this.even = widest - this.narrowest < 1e-9;
    const step = (widest - this.narrowest) / WIDTHS;
    this.widths = this.even ? [this.narrowest] : Array.from({ length: WIDTHS }, (_, i) => this.narrowest + step * (i + 0.5));
    this.level = new Uint8Array(height);
    if (!this.even)
      for (let row = this.first; row <= this.last; row += 1)
        this.level[row] = Math.min(WIDTHS - 1, Math.floor((this.scales[row] - this.narrowest) / step));
    this.runs = runsOfPart(pixels, width);
    this.counts = Float64Array.from(this.runs.runs, (own) => own.reduce((sum, at, i) => sum + (i % 2 === 0 ? -at : at), 0));
    this.mm = this.even ? this.counts : this.counts.map((count, i) => count / this.scales[this.first + i]);
  }

  /** How a kind is drawn at each width; flakes of under two pixels are pixels. */
  stampsOf(kind: LookFlake): Stamps {
    const { rowsPerMm } = this.request;
    const fine = flakeFace(kind) * this.narrowest * rowsPerMm < 2;
    const known = this.stamps.get(kind.cut);
    const found = known ?? (fine ? dotStamps(this.widths.length) : hexagonStamps(kind.cut, this.widths, rowsPerMm));
    this.stamps.set(kind.cut, found);
    return found;
  }

  /** Pixels a flake covers on average, wherever it falls. */
  meanArea({ areas }: Stamps): number {
    if (this.even) return areas[0];
    let [sum, weight] = [0, 0];
    this.mm.forEach((own, i) => {
      sum += areas[this.level[this.first + i]] * own;
      weight += own;
    });
    return sum / weight;
  }

  /** The places round the part from which flakes of a kind reach into it; none where it has next to no edge. */
  aroundFor({ cut }: LookFlake, { dots }: Stamps): Around {
    const { rowsPerMm, width } = this.request;
    const reach = dots ? 0 : cut / Math.sqrt(3);
    const known = this.around.get(reach);
    if (known) return known;
    const edge = reach === 0 ? 0 : shareAtEdge(this.runs, this.pixels.length, width, reach * rowsPerMm);
    const scaleAt = (row: number) => this.scales[Math.min(this.last, Math.max(this.first, row))];
    const found =
      edge < HARDLY_AN_EDGE
        ? NOWHERE
        : aroundPart(this.request, this.runs, Math.ceil(reach * rowsPerMm) + 1, (row) => Math.ceil(reach * scaleAt(row)) + 1);
    this.around.set(reach, found);
    return found;
  }
}
