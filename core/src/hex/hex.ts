import * as z from 'zod';

/** A colour as typed: `#` and six hexadecimal digits, sRGB under D65. */
export const hexSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A colour is written as # and six digits from 0–9 and a–f, like #c2470f.')
  .toLowerCase();

/** Red, green and blue of a colour, 0..255. */
export const bytesOf = (hex: string): readonly [number, number, number] => {
  const byte = (at: number) => parseInt(hex.slice(at, at + 2), 16);
  return [byte(1), byte(3), byte(5)];
};

/** The colour of whole numbers 0..255, red first. */
export const hexOfBytes = (bytes: readonly number[]): string =>
  `#${bytes.map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;

/** A colour as makers write it: with # or without, six digits or three; null when it is none. */
export function readHex(text: string): string | null {
  const [, digits] = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.exec(text.trim()) ?? [];
  if (digits === undefined) return null;
  return `#${digits.length === 3 ? [...digits].map((digit) => digit + digit).join('') : digits}`.toLowerCase();
}
