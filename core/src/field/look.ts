import { linearRgbOfHex, linearRgbOf, layOver, flatSpectrum, type Film } from '../colour';
import type { GlitterKind, Part } from '../glitter';
import { faceShares } from '../glitter';

type Rgb = readonly [number, number, number];

/** One kind of flake as the picture needs it: linear RGB, cut mm, its share of what faces you. */
export interface LookFlake {
  readonly rgb: Rgb;
  readonly kind: GlitterKind;
  readonly opacity: number;
  readonly cut: number;
  readonly share: number;
}

/** What lies on a place, bottom first. A film is given by what it makes of black and of white. */
export type LookLayer =
  | { readonly layer: 'ground'; readonly rgb: Rgb }
  | { readonly layer: 'flakes'; readonly depth: number; readonly flakes: readonly LookFlake[] }
  | { readonly layer: 'film'; readonly overBlack: Rgb; readonly overWhite: Rgb };

export type Look = readonly LookLayer[];

export const groundLook = (hex: string): LookLayer => ({ layer: 'ground', rgb: linearRgbOfHex(hex) });

export function flakesLook(parts: readonly Part[], depth: number): LookLayer {
  const shares = faceShares(parts);
  return {
    layer: 'flakes',
    depth,
    flakes: parts.map(({ glitter: { colour, kind, opacity, cut } }, i) => ({
      rgb: linearRgbOfHex(colour),
      kind,
      opacity,
      cut,
      share: shares[i],
    })),
  };
}

const BLACK = flatSpectrum(0);
const WHITE = flatSpectrum(1);

export const filmLook = (film: Film): LookLayer => ({
  layer: 'film',
  overBlack: linearRgbOf(layOver(film, BLACK)),
  overWhite: linearRgbOf(layOver(film, WHITE)),
});
