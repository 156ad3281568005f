import { converter, modeLrgb, modeOklch, useMode } from 'culori/fn';
import { linearRgbOf } from './observer';
import type { Spectrum } from './spectrum';

useMode(modeLrgb);
useMode(modeOklch);
const oklch = converter('oklch');

/** OKLCh chroma: 0 of a grey, about 0.1 where a colour gets lively. */
export function chromaOf(spectrum: Spectrum): number {
  const [r, g, b] = linearRgbOf(spectrum);
  return oklch({ mode: 'lrgb', r, g, b }).c;
}

/** Chroma under which a mix is mud, and over which both parents were lively. */
const MUD = 0.04;
const LIVELY = 0.1;

/** Whether two lively colours make a dull one: chroma of either, and of what they come to. */
export const isMud = (one: number, other: number, mixed: number): boolean => mixed < MUD && one > LIVELY && other > LIVELY;
