import type { Devices } from '@aurantia/core';
import type { Memory } from '../memory';

/** ms after which a room that is as it was is looked at again. */
const AGAIN = 60_000;

/**
 * What the room's sensor says is kept, for logs to show and for waits to be told by.
 * @returns what ends it, once what was being written is written: the file may be closed then
 */
export function keepRoom({ devices, room, clock }: Memory): () => Promise<void> {
  let writing: Promise<void> = Promise.resolve();
  const keep = ({ room: { says } }: Devices) => {
    if (says?.says !== 'room') return;
    writing = room.keep({ at: clock.now(), celsius: says.celsius, humidity: says.humidity }).catch((error: unknown) => {
      // A moment that can't be kept is missing from a chart; the next one is tried again.
      process.stderr.write(`The room can’t be written down: ${error instanceof Error ? error.message : String(error)}\n`);
    });
  };
  const end = devices.listen(keep);
  // A room that stays as it is says nothing new; it is written down all the same.
  const again = setInterval(() => keep(devices.all), AGAIN);
  return () => {
    clearInterval(again);
    end();
    return writing;
  };
}
