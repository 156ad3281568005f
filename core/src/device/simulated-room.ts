import { randomStream, seedOf } from '../random';

const DAY = 86_400_000;
/** °C and % around which it swings, and by how much either way in a day. */
const USUAL = { celsius: 21, humidity: 50 } as const;
const SWINGS = { celsius: 2.2, humidity: 6 } as const;
/** ms since midnight (UTC) at which it is warmest. */
const WARMEST = 16 * 3_600_000;

/**
 * What a sensor in a workshop says at a moment: warmest in the afternoon, coldest before dawn, a little weather of its own.
 * The same moment says the same for ever; `drop out` silences it until `come back`.
 */
export class SimulatedRoom {
  private silent = false;

  told(command: string): boolean {
    const word = command.trim();
    if (word !== 'drop out' && word !== 'come back') return false;
    this.silent = word === 'drop out';
    return true;
  }

  /** @param now ms since 1970 */
  at(now: number): string {
    if (this.silent) return 'room nothing';
    const turn = Math.cos((2 * Math.PI * (now - WARMEST)) / DAY);
    const weather = randomStream(seedOf(String(Math.floor(now / 600_000))))() - 0.5;
    const celsius = USUAL.celsius + SWINGS.celsius * turn + 0.4 * weather;
    const humidity = USUAL.humidity - SWINGS.humidity * turn + 2 * weather;
    return `room ${celsius.toFixed(1)} C ${humidity.toFixed(0)} %`;
  }
}
