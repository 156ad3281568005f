import type { Film } from '../colour';
import { cutsOf, faceShares, type Finish, type Glitter, type Part } from '../glitter';

/** One kind of flake as the picture needs it: cut mm, its share of what faces you. */
export interface LookFlake extends Pick<Glitter, 'colour' | 'kind' | 'opacity' | 'cut'> {
  readonly finish: Finish;
  readonly share: number;
}

/** What lies on a place, bottom first. */
export type LookLayer =
  | { readonly layer: 'ground'; readonly colour: string }
  | { readonly layer: 'flakes'; readonly depth: number; readonly flakes: readonly LookFlake[] }
  | { readonly layer: 'film'; readonly film: Film }
  /** a clear coat's face, over all there is: never with a layer over it */
  | { readonly layer: 'gloss' };

export type Look = readonly LookLayer[];

export const groundLook = (colour: string): LookLayer => ({ layer: 'ground', colour });

/**
 * A pour as it lies. A jar of mixed cuts is so many kinds of flake.
 * @param finishes of the parts, in their order
 * @param depth flakes deep on average
 */
export function flakesLook(parts: readonly Part[], finishes: readonly Finish[], depth: number): LookLayer {
  const shares = faceShares(parts);
  return {
    layer: 'flakes',
    depth,
    flakes: parts.flatMap(({ glitter }, i) =>
      cutsOf(glitter).map(({ cut, share }) => ({
        colour: glitter.colour,
        kind: glitter.kind,
        opacity: glitter.opacity,
        finish: finishes[i],
        cut,
        share: shares[i] * share,
      })),
    ),
  };
}

/** The same before what is poured over its flakes: the last glitter coat as it lies bare. */
export const beforeFilms = (look: Look): Look =>
  look.slice(0, 1 + look.findLastIndex(({ layer }) => layer !== 'film' && layer !== 'gloss'));

export const glossLook: LookLayer = { layer: 'gloss' };

export const filmLook = (film: Film): LookLayer => ({ layer: 'film', film });
