import type { Socket } from 'node:net';
import { createInterface } from 'node:readline';

/** Hears what comes over a line, a line of text at a time. */
export function linesOf(socket: Socket, heard: (line: string) => void): void {
  createInterface({ input: socket, crlfDelay: Infinity })
    .on('line', heard)
    // A reader passes its socket's errors on; the socket's own listener has dealt with them.
    .on('error', () => socket.destroy());
}
