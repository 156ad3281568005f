import { viscosityAt } from '../resin';
import { carried, flowOn } from './colour-carried';
import { ColourSpeeds } from './colour-speeds';
import { Driven } from './driven';
import { drivenFastest, levelledFastest } from './fastest';
import { Levelling, type Flows } from './levelling';
import type { WarmAir } from './warm-air';
import type { WetDrive, WetFilm } from './wet-film';

/** N/m: laminating epoxies lie at 0.030–0.045 */
const TENSION = 0.035;
/** Nothing crosses more of a cell in a step than this. */
const MOST_OF_A_CELL = 0.45;
/** s: the first step, the shortest and the longest */
const FIRST = 0.02;
const SHORTEST = 1e-5;
const LONGEST = 60;
/** How much longer a step may be than the one before, and how much shorter one is tried that goes too far. */
const GROWS = 1.5;
const SHORTER = 4;
/** Steps between two looks at how fast anything goes. */
const LOOK_EVERY = 4;
/** Steps of the drift to one of levelling. */
const MOST_PARTS = 4;
/** Steps after which it is let be: so many take only films so thin or cups so steep that all has long run together, or off. */
const MOST_STEPS = 900;

/**
 * A wet film with colour floating on it, moved on step by step: lubrication theory, averaged over the turns of the cup, two
 * layers of one viscosity. What one cell loses another gains, so volumes stay to rounding. Left out: that white is denser and
 * solvents slacken the surface, that the wall's own bend pulls, that a film ends somewhere.
 * @see P. L. Evans, L. W. Schwartz, R. V. Roy, “Steady and unsteady solutions for coating flow on a rotating horizontal
 * cylinder”, Physics of Fluids 16, 2004
 */
export class WetFlow {
  /** s since the colour was laid */
  seconds = 0;
  steps = 0;
  /** cells that the frame has gone along: what stands in column 0 is so far round the cup */
  turned = 0;
  /** cells that the colour has drifted, all of it taken together */
  drifted = 0;
  private looks = 0;
  /** s of a step of levelling, and of one of the drift */
  private longest = FIRST;
  private drifts = FIRST;
  private turning = 0;
  private viscosity = 0;
  private readonly levelling: Levelling;
  private readonly driven: Driven;
  private readonly speeds: ColourSpeeds;
  private readonly ease: Float64Array;
  private readonly moved: Flows;
  /** the same where nothing goes up or down */
  private readonly movedRound: Flows;

  /** @param finer steps are so many times shorter than they need to be */
  constructor(
    readonly film: WetFilm,
    private readonly drive: WetDrive,
    private readonly air: WarmAir | null = null,
    private readonly finer = 1,
  ) {
    this.levelling = new Levelling(film.grid);
    this.driven = new Driven(film, drive);
    this.speeds = new ColourSpeeds(film);
    this.ease = new Float64Array(film.all.length);
    this.moved = { right: new Float64Array(film.all.length), up: new Float64Array(film.all.length + film.grid.columns) };
    this.movedRound = { right: this.moved.right, up: new Float64Array(this.moved.up.length) };
    this.driven.work(this.viscosityAt(0), 0, air);
    this.drifts = Math.min(FIRST, MOST_OF_A_CELL / Math.max(1, drivenFastest(film, this.driven, 0)));
  }

  /** Pa·s, so many seconds after it was laid. */
  private viscosityAt(seconds: number): number {
    const { viscosity, potLife, rest } = this.drive;
    return viscosityAt(viscosity, potLife, rest + seconds / 60) / 1000;
  }

  /** Moves on by a step. @param until s since the colour was laid, not passed */
  step(until: number): void {
    if (this.steps >= MOST_STEPS) {
      this.seconds = until;
      return;
    }
    const air = this.air !== null && this.seconds < this.air.seconds ? this.air : null;
    const left = (air ? Math.min(until, air.seconds) : until) - this.seconds;
    const { seconds, parts, levels } = this.stepWithin(Math.min(left, this.longest / this.finer), air);
    this.level(seconds);
    for (let part = 0; part < parts; part += 1) this.drift(seconds / parts, air);
    this.seconds += seconds;
    this.steps += 1;
    const longer = Math.max(this.longest, seconds * this.finer) * GROWS;
    this.longest = Math.min(LONGEST, longer, levels > 0 ? MOST_OF_A_CELL / levels : LONGEST);
  }

  /**
   * How long a step can be, what levels out in it, and in how many parts what drifts is done. Levelling costs most and lets itself
   * be done in long steps; where it would take colour too far, as at first where a ridge is steep, in shorter ones.
   */
  private stepWithin(most: number, air: WarmAir | null): { seconds: number; parts: number; levels: number } {
    for (let within = most; ; within /= SHORTER) {
      const parts = Math.max(1, Math.min(air ? 1 : MOST_PARTS, Math.ceil(within / this.drifts)));
      const seconds = Math.min(within, parts * this.drifts);
      // As thick as it is in the middle of the step.
      this.viscosity = this.viscosityAt(this.seconds + seconds / 2);
      const levels = this.levelled(seconds, air);
      if (levels * seconds < 2 * MOST_OF_A_CELL || seconds < SHORTEST) return { seconds, parts, levels };
    }
  }

  private drift(seconds: number, air: WarmAir | null): void {
    const { film, driven, speeds } = this;
    // Warm air stays where it is on the cup; without it the frame goes along with the colour, which so stays sharp.
    const turning = air ? 0 : this.turning;
    driven.work(this.viscosity, turning, air);
    speeds.weigh({ levelled: !driven.level, drifting: true, dragged: air !== null });
    speeds.ofDriven(driven, turning, air !== null);
    // Most cups stand level: then nothing goes up or down, and nobody needs to look.
    const moved = driven.level ? this.movedRound : this.moved;
    for (const pot of film.colour) {
      carried(film.grid, pot, speeds, moved, driven.level);
      flowOn(film.grid, pot, moved, seconds);
    }
    flowOn(film.grid, film.all, driven, seconds);
    this.turned += turning * seconds;
    this.turning = speeds.turns(driven.drift);
    this.drifted += this.turning * seconds;
    if (this.looks % LOOK_EVERY === 0) {
      const fastest = drivenFastest(film, driven, this.turning);
      this.drifts = (fastest > 0 ? Math.min(LONGEST, MOST_OF_A_CELL / fastest) : LONGEST) / this.finer;
    }
    this.looks += 1;
  }

  /** What a step would level out. @returns the most of a cell that it takes colour through in a second */
  private levelled(seconds: number, air: WarmAir | null): number {
    this.eased(air);
    this.levelling.work(this.film.all, this.ease, seconds);
    return levelledFastest(this.film, this.levelling);
  }

  private level(seconds: number): void {
    const { film, levelling, speeds, moved } = this;
    speeds.weigh({ levelled: true, drifting: false, dragged: false });
    speeds.ofLevelling(levelling);
    for (const pot of film.colour) {
      carried(film.grid, pot, speeds, moved, film.grid.rows === 1);
      flowOn(film.grid, pot, moved, seconds);
    }
    flowOn(film.grid, film.all, levelling, seconds);
  }

  /** How readily each cell levels. */
  private eased(air: WarmAir | null): void {
    const { ease } = this;
    const { all } = this.film;
    const tension = (1000 * TENSION) / (3 * this.viscosity);
    for (let at = 0; at < all.length; at += 1) ease[at] = tension * all[at] * all[at] * all[at];
    if (air) for (let at = 0; at < all.length; at += 1) ease[at] *= air.thinner[at];
  }
}
