import type { Light, ReadyBlend } from '../coats';
import { deltaE2000, labOf, type Spectrum } from '../colour';
import { facePerMl, type Part } from '../glitter';

/** How far off a prediction may be: one standard deviation, and what to do about it. */
export interface Spread {
  /** of the share left bare */
  readonly bare: number;
  /** of the colour from afar, ΔE00 */
  readonly colour: number;
  /** what would narrow it most, a sentence */
  readonly narrows: string;
}

/**
 * What the least-known inputs, the solid share of each jar and what the glue holds, do to bare share and colour.
 * Each is moved by its own standard deviation and the effects add as squares, as independent errors do.
 * @param laid.hold flakes deep the glue holds a pass; Infinity when all of it sticks
 * @param laid.unsure one standard deviation of that, as a share of it
 */
export function spreadOf(
  { unsure: parts, poured }: Pick<ReadyBlend, 'unsure' | 'poured'>,
  {
    passes,
    hold,
    unsure,
    under,
    light,
  }: { readonly passes: number; readonly hold: number; readonly unsure: number; readonly under: Spectrum; readonly light: Light },
): Spread {
  const kept = (pour: number, holds: number) =>
    Math.max(1, passes) * (Number.isFinite(holds) ? holds * (1 - Math.exp(-pour / holds)) : pour);
  const face = parts.reduce((sum, { glitter, ml }) => sum + ml * facePerMl(glitter), 0);
  const usual = kept(poured, hold);
  const lab = labOf(light.rain(parts, usual, under));
  const effect = (what: string, depth: number, mix: readonly Part[]) => ({
    what,
    bare: Math.abs(Math.exp(-depth) - Math.exp(-usual)),
    colour: deltaE2000(lab, labOf(light.rain(mix, depth, under))),
  });
  const effects = [
    ...parts.map((part, i) => {
      const more = 1 + part.spread;
      const deeper = face > 0 ? poured * (1 + (part.spread * part.ml * facePerMl(part.glitter)) / face) : poured;
      const mix = parts.map((one, k) => (k === i ? { ...one, ml: one.ml * more } : one));
      return effect(`Weighing a level spoon of ${part.name}`, kept(deeper, hold), mix);
    }),
    ...(Number.isFinite(hold)
      ? [effect('Weighing the cup before and after a pour', kept(poured, hold * (1 + unsure)), parts)]
      : []),
  ];
  if (effects.length === 0) return { bare: 0, colour: 0, narrows: '' };
  const together = (of: (one: (typeof effects)[number]) => number) =>
    Math.sqrt(effects.reduce((sum, one) => sum + of(one) ** 2, 0));
  const largest = effects.reduce(
    (most, one) => (one.colour + 20 * one.bare > most.colour + 20 * most.bare ? one : most),
    effects[0],
  );
  return {
    bare: together((one) => one.bare),
    colour: together((one) => one.colour),
    narrows: `${largest.what} would narrow it most.`,
  };
}
