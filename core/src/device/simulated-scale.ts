import { randomStream } from '../random';
import { tidy } from '../units';

/** g that it carries, and shows in steps of. */
const CARRIES = 600;
const STEP = 0.1;
/** s after which most of a change is shown. */
const SETTLES = 0.25;
/** g: of its own trembling, and of its slow walk a second. */
const TREMBLES = 0.025;
const DRIFTS = 0.003;
/** s without a change of what lies on it, after which it calls itself steady. */
const STEADY_AFTER = 0.9;

/**
 * A scale that isn't there: it settles, trembles, drifts, can be tared and overloaded, and shows steps of 0.1 g.
 * The same seed and the same commands show the same for ever.
 */
export class SimulatedScale {
  private readonly random: () => number;
  private lies = 0;
  private flows = 0;
  private shown = 0;
  private drift = 0;
  private nought = 0;
  private still = STEADY_AFTER;

  constructor(seed = 1) {
    this.random = randomStream(seed);
  }

  /**
   * `tare` is a scale's own; the others are what hands do: `put 12.5` lays so many g on it, `flow 2` pours so many g a second
   * until `flow 0`, `clear` takes all away.
   * @returns whether it understood
   */
  told(command: string): boolean {
    const [word, figure] = command.trim().split(/\s+/);
    const amount = Number(figure);
    if (word === 'tare') this.nought = this.shown + this.drift;
    else if (word === 'clear') {
      this.lies = 0;
      this.flows = 0;
    } else if ((word === 'put' || word === 'flow') && figure !== undefined && Number.isFinite(amount)) {
      if (word === 'put') this.lies += amount;
      else this.flows = Math.max(0, amount);
    } else return false;
    if (word !== 'tare') this.still = 0;
    return true;
  }

  /** So many seconds later. @returns the line it says */
  after(seconds: number): string {
    this.lies += this.flows * seconds;
    this.still = this.flows > 0 ? 0 : this.still + seconds;
    this.shown += (this.lies - this.shown) * (1 - Math.exp(-seconds / SETTLES));
    this.drift += DRIFTS * Math.sqrt(seconds) * this.normal();
    if (this.lies > CARRIES) return 'overload';
    const grams = this.shown + this.drift - this.nought + TREMBLES * this.normal();
    const steps = tidy(Math.round(grams / STEP) * STEP);
    const steady = this.still >= STEADY_AFTER && Math.abs(this.lies - this.shown) < STEP / 4;
    // Nothing is neither above nor below nothing.
    return `weight ${(steps === 0 ? 0 : steps).toFixed(1)} g ${steady ? 'steady' : 'moving'}`;
  }

  private normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.random())) * Math.cos(2 * Math.PI * this.random());
  }
}
