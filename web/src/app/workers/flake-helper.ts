import type { DroppedStripe } from '@aurantia/core';
import { STOP, type StripeReply, type StripeWish } from './flake-request';

/** The end of a helper that the one who shares a picture out speaks into. */
export class FlakeHelper {
  /** what is waited for; null while nothing is */
  private waiting: { readonly number: number; readonly give: (stripe: DroppedStripe | null) => void } | null = null;
  private lost = false;

  constructor(private readonly port: MessagePort) {
    port.onmessage = ({ data }: MessageEvent<StripeReply>) => {
      if (data.number === this.waiting?.number) this.waiting.give(data.stripe);
    };
  }

  /** Asks for some rows. Null where it was stopped, couldn't, or is lost. */
  rows(wish: StripeWish): Promise<DroppedStripe | null> {
    if (this.lost) return Promise.resolve(null);
    return new Promise((give) => {
      this.waiting = { number: wish.number, give };
      this.port.postMessage(wish);
    });
  }

  stop(): void {
    this.port.postMessage(STOP);
  }

  /** It couldn't be begun, or broke: nobody waits for it any longer. */
  lose(): void {
    this.lost = true;
    this.waiting?.give(null);
  }
}
