/** s in which it comes up to its speed. */
const COMES_UP = 1.5;

/** A turner that isn't there: `speed 5` sets its turns a minute, `stop` ends them, `jam` holds it fast until `free`. */
export class SimulatedTurner {
  private wanted: number;
  private rpm = 0;
  private jammed = false;

  constructor(rpm = 5) {
    this.wanted = rpm;
  }

  told(command: string): boolean {
    const [word, figure] = command.trim().split(/\s+/);
    const rpm = Number(figure);
    if (word === 'stop') this.wanted = 0;
    else if (word === 'jam' || word === 'free') this.jammed = word === 'jam';
    else if (word === 'speed' && figure !== undefined && rpm >= 0 && rpm <= 60) this.wanted = rpm;
    else return false;
    return true;
  }

  /** So many seconds later. @returns the line it says */
  after(seconds: number): string {
    if (this.jammed && this.wanted > 0) {
      this.rpm = 0;
      return 'stalled';
    }
    this.rpm += (this.wanted - this.rpm) * (1 - Math.exp(-seconds / COMES_UP));
    return this.wanted === 0 && this.rpm < 0.05 ? 'stopped' : `turning ${this.rpm.toFixed(1)} rpm`;
  }
}
