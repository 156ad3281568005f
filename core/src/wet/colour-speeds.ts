import type { Driven } from './driven';
import { draggedShare, driftingShare, levelledShare, SURFACE } from './layer-shares';
import type { Flows } from './levelling';
import type { WetFilm } from './wet-film';

/** How fast colour goes through each cell's right side and lower edge: mm³/s a mm of it. */
export class ColourSpeeds implements Flows {
  readonly right: Float64Array;
  readonly up: Float64Array;
  /** by cell, what share of a flow a mm of colour is, 1/mm */
  private readonly levelled: Float64Array;
  private readonly drifting: Float64Array;
  private readonly dragged: Float64Array;

  constructor(private readonly film: WetFilm) {
    const make = () => new Float64Array(film.all.length);
    [this.right, this.levelled, this.drifting, this.dragged] = [make(), make(), make(), make()];
    this.up = new Float64Array(film.all.length + film.grid.columns);
  }

  /** What share of a flow colour is, where it is driven one way or another: only the ways that something goes now. */
  weigh(ways: { readonly levelled: boolean; readonly drifting: boolean; readonly dragged: boolean }): void {
    if (ways.levelled) this.share(this.levelled, levelledShare, SURFACE.levelled);
    if (ways.drifting) this.share(this.drifting, driftingShare, SURFACE.drifting);
    if (ways.dragged) this.share(this.dragged, draggedShare, SURFACE.dragged);
  }

  private share(out: Float64Array, shareOf: (lower: number) => number, surface: number): void {
    const { all, colour } = this.film;
    const [first, ...others] = colour;
    for (let at = 0; at < all.length; at += 1) {
      const thick = all[at];
      let floating = first[at];
      for (const pot of others) floating += pot[at];
      out[at] = floating < 1e-6 * thick ? surface / thick : shareOf(floating < thick ? 1 - floating / thick : 0) / floating;
    }
  }

  /** Of what levels out, mm³/s. */
  ofLevelling(levelling: Flows): void {
    const { columns, rows } = this.film.grid;
    const { levelled, right } = this;
    for (let row = 0; row < rows; row += 1) {
      const [start, end] = [row * columns, (row + 1) * columns];
      for (let at = start; at < end; at += 1)
        right[at] = (levelling.right[at] * (levelled[at] + levelled[at + 1 < end ? at + 1 : start])) / 2;
    }
    this.upwards(levelling.up, levelled);
  }

  /**
   * Of what drifts, runs down and is blown.
   * @param turning cells a second that the frame goes along
   */
  ofDriven({ drift, lean, blown, level }: Driven, turning: number, blows: boolean): void {
    const { columns, rows, across, along } = this.film.grid;
    const { levelled, drifting, dragged, right, up } = this;
    for (let row = 0; row < rows; row += 1) {
      const [start, end] = [row * columns, (row + 1) * columns];
      const framed = turning * across[row] * along[row];
      for (let at = start; at < end; at += 1) {
        const next = at + 1 < end ? at + 1 : start;
        right[at] = (drift[at] * (drifting[at] + drifting[next])) / 2 - framed;
        if (blows) right[at] += (blown.right[at] * (dragged[at] + dragged[next])) / 2;
      }
    }
    if (level) return;
    this.upwards(lean, levelled);
    if (!blows) return;
    for (let at = columns; at < levelled.length; at += 1) up[at] += (blown.up[at] * (dragged[at - columns] + dragged[at])) / 2;
  }

  private upwards(flows: Float64Array, rate: Float64Array): void {
    const { columns } = this.film.grid;
    const { up } = this;
    for (let i = 0; i < columns; i += 1) {
      up[i] = flows[i] * rate[i];
      up[rate.length + i] = flows[rate.length + i] * rate[rate.length - columns + i];
    }
    for (let at = columns; at < rate.length; at += 1) up[at] = (flows[at] * (rate[at - columns] + rate[at])) / 2;
  }

  /** Cells a second that the colour drifts, all of it taken together. */
  turns(drift: Float64Array): number {
    const { grid, colour } = this.film;
    let [moved, floating] = [0, 0];
    for (const pot of colour)
      for (let row = 0; row < grid.rows; row += 1) {
        const size = grid.across[row] * grid.along[row];
        for (let at = row * grid.columns; at < (row + 1) * grid.columns; at += 1) {
          moved += drift[at] * this.drifting[at] * pot[at];
          floating += pot[at] * size;
        }
      }
    return floating > 0 ? moved / floating : 0;
  }
}
