import { codeText, type Sharing, type SharingWish } from '@aurantia/core/sharing';
import type { FastifyInstance } from 'fastify';
import encodeQR from 'qr';
import { NoNetwork, type Outside } from './outside';
import type { PairedStore } from './paired-store';
import { PairingCode } from './pairing-code';

/** Where the network's listener shall be: an address of this computer, or null for all; a port. */
export interface ShareAt {
  readonly address: string | null;
  readonly port: number;
}

const pairLink = (host: string, code: string): string => `http://${host}/pair#${code}`;

/** The workshop as it is shared with devices on the network: on or off, who was let in, the code that waits. */
export class SharingHere {
  private readonly code = new PairingCode();
  private trouble: string | null = null;

  constructor(
    private readonly app: FastifyInstance,
    private readonly outside: Outside,
    private readonly paired: PairedStore,
    private readonly at: ShareAt,
  ) {}

  async now(): Promise<Sharing> {
    const waiting = this.code.alive;
    const links = waiting ? this.outside.names.map((host) => pairLink(host, waiting.code)) : [];
    return {
      on: this.outside.names.length > 0,
      addresses: this.outside.names.map((host) => `http://${host}`),
      trouble: this.trouble,
      code:
        waiting && links.length > 0
          ? { ...waiting, code: codeText(waiting.code), links, picture: encodeQR(links[0], 'svg', { border: 2 }) }
          : null,
      paired: await this.paired.all(),
    };
  }

  /** Begins or ends to listen on the network. */
  async turn(on: boolean): Promise<void> {
    this.trouble = null;
    if (!on) {
      this.code.void();
      return this.outside.close();
    }
    try {
      await this.outside.open(this.app, this.at.address, this.at.port);
    } catch (error) {
      this.trouble =
        error instanceof NoNetwork
          ? 'This computer is on no network. Join the one that the phone or tablet is on, and switch this on again.'
          : `The network can’t be listened to (${error instanceof Error ? error.message : String(error)}). Check AURANTIA_SHARE_AT and AURANTIA_SHARE_PORT, or leave them out.`;
    }
  }

  drawCode(wish: SharingWish): void {
    this.code.draw(wish);
  }

  voidCode(): void {
    this.code.void();
  }

  /** A code that was typed at a device. @returns what it shows from now on, or how many tries are left */
  async letIn(typed: string): Promise<{ readonly shows: string } | { readonly left: number }> {
    const tried = this.code.try(typed);
    return 'right' in tried ? { shows: await this.paired.letIn(tried.right) } : tried;
  }

  /** A device that isn't wished for any more, in the middle of what it does if need be. */
  async takeAway(id: string): Promise<void> {
    await this.paired.takeAway(id);
    this.outside.cut(id);
  }
}

declare module 'fastify' {
  interface FastifyInstance {
    sharing: SharingHere;
  }
}
