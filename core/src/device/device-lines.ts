import type { DeviceKind, DeviceSays } from './devices-state';

/* What devices say, a line each (docs/devices.md): words and figures, so that any of them can be put on a line by a few lines of script. */

const FIGURE = '(-?\\d{1,6}(?:\\.\\d{1,4})?)';
const weight = new RegExp(`^weight ${FIGURE} g (steady|moving)$`);
const room = new RegExp(`^room ${FIGURE} C(?: ${FIGURE} %)?$`);
const turning = new RegExp(`^turning ${FIGURE} rpm$`);

/** Reads a line of a device. @returns null for one that says nothing it could mean: a device that is switched on often chatters */
export function readDeviceLine<Kind extends DeviceKind>(kind: Kind, line: string): DeviceSays[Kind] | null;
export function readDeviceLine(kind: DeviceKind, line: string): DeviceSays[DeviceKind] | null {
  const text = line.trim();
  if (kind === 'scale') {
    if (text === 'overload') return { says: 'overload' };
    const read = weight.exec(text);
    return read && { says: 'weight', grams: Number(read[1]), steady: read[2] === 'steady' };
  }
  if (kind === 'room') {
    if (text === 'room nothing') return { says: 'nothing' };
    const read = room.exec(text);
    if (!read) return null;
    const humidity = read[2] === undefined ? null : Number(read[2]);
    const celsius = Number(read[1]);
    // What no room has is a sensor that fails.
    if (celsius < -20 || celsius > 60 || (humidity !== null && (humidity < 0 || humidity > 100))) return { says: 'nothing' };
    return { says: 'room', celsius, humidity };
  }
  if (text === 'stalled' || text === 'stopped') return { says: text };
  const read = turning.exec(text);
  return read && { says: 'turning', rpm: Number(read[1]) };
}
