/** mm of film over which resin is heavier than its own grip, whatever it is: what makers lay at once at the most. */
export const RUNS_OVER = 0.8;

/** m/s² */
const GRAVITY = 9.80665;

/** What a resin on a turning cup runs by. */
export interface TurningFilm {
  /** mPa·s */
  readonly viscosity: number;
  /** g/ml */
  readonly density: number;
  /** turns a minute */
  readonly rpm: number;
  /** of the cup where the film lies, mm */
  readonly circumference: number;
}

/**
 * The thickest film a turning cup carries without its running down: `4.428/2π·√(ν·U/g)`, ν the kinematic viscosity, U the
 * wall's speed.
 * @returns mm
 * @see H. K. Moffatt, “Behaviour of a viscous film on the outer surface of a rotating cylinder”, Journal de mécanique 16, 1977
 */
export function runLimit({ viscosity, density, rpm, circumference }: TurningFilm): number {
  const kinematic = viscosity / 1000 / (density * 1000);
  const speed = ((circumference / 1000) * rpm) / 60;
  return (4.428 / (2 * Math.PI)) * Math.sqrt((kinematic * speed) / GRAVITY) * 1000;
}
