import type { Memory } from '../memory';

/** What the room's sensor says is kept, for logs to show and for waits to be told by. @returns what ends it */
export const keepRoom = ({ devices, room, clock }: Memory): (() => void) =>
  devices.listen(({ room: { says } }) => {
    if (says?.says !== 'room') return;
    room.keep({ at: clock.now(), celsius: says.celsius, humidity: says.humidity }).catch((error: unknown) => {
      // A moment that can't be kept is missing from a chart; the next one is tried again.
      process.stderr.write(`The room can’t be written down: ${error instanceof Error ? error.message : String(error)}\n`);
    });
  });
