import { gentler } from './gentler';
import type { Flows } from './levelling';
import type { WarmAir } from './warm-air';
import type { WetDrive, WetFilm } from './wet-film';

/** m/s² */
const GRAVITY = 9.80665;
/**
 * Share of the wall's own speed that nothing drifts faster than: there a film is pulled to and fro with a sixteenth of that speed,
 * and what comes of it over a turn isn't small any more, as the average takes it to be.
 */
const MOST_OF_THE_WALL = 0.006;

/** What moves a film beside its own levelling: through each cell's right side, and up through its lower edge, mm³/s. */
export class Driven implements Flows {
  /** the drift against the turn */
  readonly drift: Float64Array;
  /** what the lean lets run to the lower end, and off it */
  readonly lean: Float64Array;
  /** what warm air drags along */
  readonly blown: Flows;
  /** all of it, as it is seen from a frame that goes along */
  readonly right: Float64Array;
  readonly up: Float64Array;

  private blew = false;

  constructor(
    private readonly film: WetFilm,
    private readonly drive: WetDrive,
  ) {
    const sides = () => new Float64Array(film.all.length);
    const edges = () => new Float64Array(film.all.length + film.grid.columns);
    [this.drift, this.right] = [sides(), sides()];
    [this.lean, this.up] = [edges(), edges()];
    this.blown = { right: sides(), up: edges() };
  }

  /**
   * @param viscosity Pa·s
   * @param turning cells a second that the frame goes along with the colour
   * @param air that blows now
   */
  work(viscosity: number, turning: number, air: WarmAir | null): void {
    const { grid, all } = this.film;
    const { columns, rows } = grid;
    const { drift, right, lean } = this;
    // ρg/μ in 1/(mm·s)
    const weight = (this.drive.density * GRAVITY) / viscosity;
    const leaning = (weight * Math.sin((this.drive.lean * Math.PI) / 180)) / 3;
    for (let row = 0; row < rows; row += 1) {
      const [start, end] = [row * columns, (row + 1) * columns];
      const radius = grid.round[row] / (2 * Math.PI);
      // `M′M/2Rω` with M = weight·thickness³/3
      const wall = (radius * 2 * Math.PI * this.drive.rpm) / 60;
      const drifting = ((weight * weight) / 3) * (grid.along[row] / (2 * wall));
      const fastest = MOST_OF_THE_WALL * wall * grid.along[row];
      const framed = turning * grid.across[row] * grid.along[row];
      let before = all[end - 1];
      let here = all[start];
      let there = all[start + 1];
      for (let at = start; at < end; at += 1) {
        const beyond = all[at + 2 < end ? at + 2 : at + 2 - columns];
        // A swelling goes five times as fast as the film; it is from where it comes that a side takes its thickness.
        const mean = ((here + there) / 2) ** 2;
        const thick =
          -5 * drifting * mean * mean > framed
            ? here + gentler(here - before, there - here) / 2
            : there - gentler(there - here, beyond - there) / 2;
        const squared = thick * thick;
        const speed = drifting * squared * squared;
        drift[at] = -(speed < fastest ? speed : fastest) * thick;
        right[at] = drift[at] - framed * thick;
        before = here;
        here = there;
        there = beyond;
      }
    }
    // What runs to the lower end of a leaning cup runs off it; nothing comes in at the upper end.
    if (leaning !== 0)
      for (let row = 0; row <= rows; row += 1)
        for (let at = row * columns; at < (row + 1) * columns; at += 1) {
          const from = leaning > 0 ? at - columns : at;
          lean[at] = from >= 0 && from < all.length ? leaning * all[from] * all[from] * all[from] * grid.edge[row] : 0;
        }
    this.up.set(lean);
    if (air !== null) this.blow(viscosity, air);
    else if (this.blew) this.calm();
  }

  /** whether nothing goes up or down */
  get level(): boolean {
    return this.drive.lean === 0 && !this.blew;
  }

  private calm(): void {
    this.blown.right.fill(0);
    this.blown.up.fill(0);
    this.blew = false;
  }

  private blow(viscosity: number, { right, up, thinner }: WarmAir): void {
    const { grid, all } = this.film;
    const { columns, rows } = grid;
    this.blew = true;
    const past = (drag: Float64Array, at: number, next: number) => {
      const pull = (drag[at] + drag[next]) / 2;
      return (all[pull > 0 ? at : next] ** 2 * pull * (thinner[at] + thinner[next])) / (4 * viscosity);
    };
    for (let row = 0; row < rows; row += 1) {
      const start = row * columns;
      for (let i = 0; i < columns; i += 1) {
        const at = start + i;
        this.blown.right[at] = past(right, at, i + 1 < columns ? at + 1 : start) * grid.along[row];
        this.blown.up[at] = row > 0 ? past(up, at - columns, at) * grid.edge[row] : 0;
        this.right[at] += this.blown.right[at];
        this.up[at] += this.blown.up[at];
      }
    }
  }
}
