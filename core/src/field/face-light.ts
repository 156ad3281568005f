import { BANDS, linearRgbOf, reflectanceOf, spectrumOf, type Spectrum, type Triple } from '../colour';
import type { LookFlake } from '../look';
import type { Lamp } from './field-light';
import { tilts, TILTS, type Tilt } from './tilt';

/** What decides how a flake's face takes light. */
export type FlakeFaceKind = Pick<LookFlake, 'colour' | 'kind' | 'finish'>;

/** How narrowly a finish throws light back: radians of its lobe, and how bright that is against what goes anywhere. */
const lobes: Readonly<Record<LookFlake['finish'], { readonly width: number; readonly bright: number }>> = {
  metallic: { width: 0.07, bright: 5 },
  holographic: { width: 0.09, bright: 4 },
  clear: { width: 0.08, bright: 3 },
  matte: { width: 0.3, bright: 0.25 },
  neon: { width: 0.3, bright: 0.2 },
  glow: { width: 0.3, bright: 0.15 },
};

/** Of light that falls from where a room's walls are: it favours no small tilt much. */
const ROOM = { width: 0.6, bright: 1.2 };

/**
 * How much of its usual light each tilt of a flake sends to the eye, in red, green and blue: 64 × 3, 1 on average
 * over the tilts, so that from afar the colour stays the predicted one; but an opal’s whole colour shifts.
 */
export function faceLight({ colour, kind, finish }: FlakeFaceKind, lamps: readonly Lamp[]): Float64Array {
  const light = new Float64Array(TILTS * 3);
  tilts.forEach((tilt, i) => {
    const bright = brightness(tilt, lamps, lobes[finish]);
    for (let axis = 0; axis < 3; axis += 1)
      light[i * 3 + axis] = bright * (finish === 'holographic' ? rainbow(tilt, lamps, axis) : 1);
  });
  evened(light);
  return kind === 'opal' ? shifted(light, colour, lamps) : light;
}

function brightness(tilt: Tilt, lamps: readonly Lamp[], { width, bright }: { width: number; bright: number }): number {
  return lamps.reduce((sum, lamp) => {
    const off = (tilt.x - lamp.x) ** 2 + (tilt.y - lamp.y) ** 2;
    return (
      sum + lamp.strength * (bright * Math.exp(-off / (2 * width ** 2)) + ROOM.bright * Math.exp(-off / (2 * ROOM.width ** 2)))
    );
  }, 1);
}

/** Turns of hue for a radian of tilt across a grating of a few µm. */
const HUES = 5;

/** A grating sends each wavelength its own way: over the tilts the colours make up white. */
const rainbow = (tilt: Tilt, [lamp]: readonly Lamp[], axis: number): number => {
  const across = (tilt.x - lamp.x) * tilt.along[0] + (tilt.y - lamp.y) * tilt.along[1];
  return 1 + 0.85 * Math.cos(2 * Math.PI * (across * HUES + axis / 3));
};

function evened(light: Float64Array): void {
  for (let axis = 0; axis < 3; axis += 1) {
    let sum = 0;
    for (let i = axis; i < light.length; i += 3) sum += light[i];
    for (let i = axis; i < light.length; i += 3) light[i] *= TILTS / sum;
  }
}

/** Refractive index of the clear layers in an opal film (polyester 1.6, acrylic 1.5). */
const INDEX = 1.55;
const ANGLES = 16;
const STEEPEST = 1.2;

/** An opal's colour by how far the light strikes it off the straight. */
const shifts = new Map<string, readonly Triple[]>();

/**
 * Layers reflect `λ·cos θ′`, with `sin θ′ = sin θ/n` inside them: tilted, an opal turns to shorter wavelengths
 * (M. Born and E. Wolf, “Principles of Optics”, § 7.6).
 */
function opalByAngle(colour: string): readonly Triple[] {
  const known = shifts.get(colour);
  if (known) return known;
  const straight = reflectanceOf(colour);
  const found = Array.from({ length: ANGLES }, (_, i): Triple => {
    const inside = Math.sqrt(1 - (Math.sin((i / (ANGLES - 1)) * STEEPEST) / INDEX) ** 2);
    const [r, g, b] = linearRgbOf(squeezed(straight, inside));
    return [Math.max(0, r), Math.max(0, g), Math.max(0, b)];
  });
  if (shifts.size > 256) shifts.clear();
  shifts.set(colour, found);
  return found;
}

/** A reflectance moved to shorter wavelengths by a factor; past its ends it goes on level. */
function squeezed(spectrum: Spectrum, factor: number): Spectrum {
  return spectrumOf((band) => {
    const from = ((380 + 10 * band) / factor - 380) / 10;
    const low = Math.min(BANDS - 1, Math.floor(from));
    const high = Math.min(BANDS - 1, low + 1);
    return spectrum[low] + (from - Math.floor(from)) * (spectrum[high] - spectrum[low]);
  });
}

/** An opal's light by tilt: its own colour when lit straight, on average, and that of shorter waves when not. */
function shifted(light: Float64Array, colour: string, lamps: readonly Lamp[]): Float64Array {
  const byAngle = opalByAngle(colour);
  const at = (tilt: Tilt, x: number, y: number) =>
    byAngle[Math.round(Math.min(1, Math.hypot(tilt.x - x, tilt.y - y) / STEEPEST) * (ANGLES - 1))];
  const [lamp] = lamps;
  for (let axis = 0; axis < 3; axis += 1) {
    const straight = tilts.reduce((sum, tilt) => sum + at(tilt, 0, 0)[axis], 0) / TILTS;
    if (straight <= 0) continue;
    // What a screen can’t show of a pure hue must not turn into a glare.
    tilts.forEach((tilt, i) => (light[i * 3 + axis] *= Math.min(4, at(tilt, lamp.x, lamp.y)[axis] / straight)));
  }
  return light;
}
