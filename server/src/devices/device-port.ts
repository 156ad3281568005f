import { connect, type Socket } from 'node:net';
import { linesOf } from './lines-of';

/** ms after which a device that isn't there is looked for again; and the longest line one says. */
const AGAIN = 1500;
const LONGEST = 200;

interface Heard {
  line(line: string): void;
  reached(there: boolean): void;
}

/** A device on a port of this computer, that says a line at a time: pulled out and put back, it is found again by itself. */
export class DevicePort {
  private socket: Socket | null = null;
  private again: NodeJS.Timeout | null = null;
  private closed = false;

  constructor(
    private readonly port: () => Promise<number>,
    private readonly heard: Heard,
  ) {
    void this.open();
  }

  /** @returns whether it could be said */
  say(line: string): boolean {
    return this.socket?.writable === true && this.socket.write(`${line}\n`);
  }

  close(): void {
    this.closed = true;
    if (this.again) clearTimeout(this.again);
    this.socket?.destroy();
  }

  private async open(): Promise<void> {
    const port = await this.port();
    if (this.closed) return;
    const socket = connect({ host: '127.0.0.1', port });
    this.socket = socket;
    socket.setNoDelay(true);
    socket.once('connect', () => this.heard.reached(true));
    // What it was is of no matter: it is looked for again, and the screen says that it is gone.
    socket.on('error', () => socket.destroy());
    socket.once('close', () => {
      if (this.closed) return;
      this.heard.reached(false);
      this.again = setTimeout(() => void this.open(), AGAIN);
    });
    linesOf(socket, (line) => {
      if (line.length <= LONGEST) this.heard.line(line);
    });
  }
}
