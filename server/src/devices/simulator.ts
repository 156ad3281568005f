import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { SimulatedRoom, SimulatedScale, SimulatedTurner, type DeviceKind } from '@aurantia/core';
import { linesOf } from './lines-of';

/** ms between two lines of each. */
const EVERY: Readonly<Record<DeviceKind, number>> = { scale: 100, room: 2000, turner: 500 };

interface Simulated {
  /** @returns whether it understood */
  told(command: string): boolean;
  /** what it says so many seconds later, or at so many ms since 1970 */
  line(seconds: number, now: number): string;
}

function simulated(kind: DeviceKind): Simulated {
  if (kind === 'room') {
    const room = new SimulatedRoom();
    return { told: (command) => room.told(command), line: (_, now) => room.at(now) };
  }
  const device = kind === 'scale' ? new SimulatedScale() : new SimulatedTurner();
  return { told: (command) => device.told(command), line: (seconds) => device.after(seconds) };
}

/** A device that isn't there, on a port as a real one would be: it says its line at its own pace, and takes commands. */
export class Simulator {
  private readonly device: Simulated;
  private readonly server: Server;
  private readonly sockets = new Set<Socket>();
  private readonly beat: NodeJS.Timeout;
  private listening: Promise<number> | null = null;

  /** @param now the workshop's clock */
  constructor(kind: DeviceKind, now: () => number = Date.now) {
    this.device = simulated(kind);
    this.server = createServer((socket) => {
      this.sockets.add(socket);
      socket.on('error', () => socket.destroy());
      socket.once('close', () => this.sockets.delete(socket));
      linesOf(socket, (line) => {
        if (!this.told(line)) socket.write('what?\n');
      });
    });
    let last = performance.now();
    this.beat = setInterval(() => {
      const at = performance.now();
      const line = this.device.line((at - last) / 1000, now());
      last = at;
      for (const socket of this.sockets) socket.write(`${line}\n`);
    }, EVERY[kind]);
  }

  /** A command; `pull out` drops every line to it at once, as a plug does. */
  told(command: string): boolean {
    if (command.trim() !== 'pull out') return this.device.told(command);
    for (const socket of this.sockets) socket.destroy();
    return true;
  }

  /** @param port to listen on, 0 for any @returns the port it listens on, on this computer only */
  listen(port = 0): Promise<number> {
    this.listening ??= new Promise((resolve, reject) => {
      this.server.once('error', reject);
      this.server.listen(port, '127.0.0.1', () => resolve((this.server.address() as AddressInfo).port));
    });
    return this.listening;
  }

  close(): void {
    clearInterval(this.beat);
    for (const socket of this.sockets) socket.destroy();
    this.server.close();
  }
}
