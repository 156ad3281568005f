import { convertLrgbToRgb, convertRgbToLrgb, parseHex, serializeHex } from 'culori/fn';
import { linearRgbOf, type Triple } from './observer';
import type { Spectrum } from './spectrum';

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
