import { filmOf, glossed, hexOf, layOver, type Spectrum } from '../colour';
import { flakeRain } from '../glitter';
import { inkFilm, inkTint } from '../ink';
import { remember, rememberEach } from '../remember';

/**
 * The work on spectra, remembered: it is what a plan spends its time on, and after a turned knob
 * nearly all of it is the same as before.
 */
export interface Light {
  readonly rain: typeof flakeRain;
  readonly tint: typeof inkFilm;
  /** an ink as it is stirred in beside others, and their film */
  readonly stirred: typeof inkTint;
  readonly together: (...tints: Parameters<typeof filmOf>[0]) => ReturnType<typeof filmOf>;
  readonly over: typeof layOver;
  /** as it is seen through gloss */
  readonly gloss: (under: Spectrum) => Spectrum;
  readonly hex: typeof hexOf;
}

export const rememberedLight = (): Light => {
  const layers = rememberEach(
    (under: Parameters<typeof layOver>[1], film: Parameters<typeof layOver>[0]) => layOver(film, under),
    8,
  );
  return {
    rain: rememberEach(flakeRain, 16),
    tint: remember(inkFilm, 32),
    stirred: remember(inkTint, 32),
    together: remember((...tints: Parameters<typeof filmOf>[0]) => filmOf(tints), 32),
    over: (film, under) => layers(under, film),
    gloss: rememberEach((under: Spectrum) => glossed(under), 1),
    hex: rememberEach(hexOf, 1),
  };
};
