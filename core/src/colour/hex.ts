import { convertLrgbToRgb, convertRgbToLrgb, parseHex, serializeHex } from 'culori/fn';
import * as z from 'zod';
import { linearRgbOf, type Triple } from './observer';
import type { Spectrum } from './spectrum';

/** A colour as typed: `#` and six hexadecimal digits, sRGB under D65. */
export const hexSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A colour is written as # and six digits from 0–9 and a–f, like #c2470f.')
  .toLowerCase();

/** A colour as makers write it: with # or without, six digits or three; null when it is none. */
export function readHex(text: string): string | null {
  const [, digits] = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.exec(text.trim()) ?? [];
  if (digits === undefined) return null;
  return `#${digits.length === 3 ? [...digits].map((digit) => digit + digit).join('') : digits}`.toLowerCase();
}

export class ColourError extends TypeError {
  override readonly name = 'ColourError';
}

/** @throws ColourError when the text is no hex colour */
export function linearRgbOfHex(hex: string): Triple {
  const rgb = /^#[0-9a-f]{6}$/i.test(hex) ? parseHex(hex) : undefined;
  if (!rgb) throw new ColourError(`“${hex}” is no colour. Write # and six digits, like #c2470f.`);
  const { r, g, b } = convertRgbToLrgb(rgb);
  return [r, g, b];
}

/** The screen colour of a reflectance, cut to what sRGB can show. */
export function hexOf(spectrum: Spectrum): string {
  return hexOfLinearRgb(linearRgbOf(spectrum));
}

export function hexOfLinearRgb([r, g, b]: Triple): string {
  const cut = (value: number) => Math.min(1, Math.max(0, value));
  return serializeHex({ ...convertLrgbToRgb({ r: cut(r), g: cut(g), b: cut(b) }), mode: 'rgb' });
}
