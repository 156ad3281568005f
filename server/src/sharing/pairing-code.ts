import { createHash, randomInt, timingSafeEqual } from 'node:crypto';
import { AMONG_THE_CODES, typedCode, type SharingWish } from '@aurantia/core/sharing';

const LETTERS = 8;
/** How long a code waits, ms, and how often it may be missed. */
const WAITS = 10 * 60_000;
const TRIES = 5;

export interface WaitingCode extends SharingWish {
  readonly code: string;
  /** ms since 1970 */
  readonly until: number;
  readonly triesLeft: number;
}

const hashed = (text: string): Buffer => createHash('sha256').update(text).digest();

/** The one code that may let a device in: for a single use, ten minutes and five tries, whoever tries. */
export class PairingCode {
  private waiting: WaitingCode | null = null;

  /** @param now ms since 1970 by this computer's own clock: a rehearsal's moved one lets no code live longer */
  constructor(private readonly now = () => Date.now()) {}

  /** A new one; one that waited before is void. */
  draw(wish: SharingWish): WaitingCode {
    const code = Array.from({ length: LETTERS }, () => AMONG_THE_CODES[randomInt(AMONG_THE_CODES.length)]).join('');
    this.waiting = { ...wish, code, until: this.now() + WAITS, triesLeft: TRIES };
    return this.waiting;
  }

  void(): void {
    this.waiting = null;
  }

  get alive(): WaitingCode | null {
    if (this.waiting && this.waiting.until <= this.now()) this.waiting = null;
    return this.waiting;
  }

  /** @returns what the device may see when the code is right, and it is spent by that; otherwise tries left */
  try(typed: string): { readonly right: SharingWish } | { readonly left: number } {
    const waiting = this.alive;
    if (!waiting) return { left: 0 };
    if (timingSafeEqual(hashed(waiting.code), hashed(typedCode(typed)))) {
      this.waiting = null;
      return { right: { name: waiting.name, sees: waiting.sees } };
    }
    const triesLeft = waiting.triesLeft - 1;
    this.waiting = triesLeft > 0 ? { ...waiting, triesLeft } : null;
    return { left: triesLeft };
  }
}
