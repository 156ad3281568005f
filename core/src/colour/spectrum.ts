/** 36 reflectances or transmittances, 380–730 nm by 10, each 0..1. */
export type Spectrum = readonly number[];

export const BANDS = 36;

export const spectrumOf = (at: (band: number) => number): Spectrum => Array.from({ length: BANDS }, (_, i) => at(i));

/** The same share at every wavelength. */
export const flatSpectrum = (share: number): Spectrum => spectrumOf(() => share);

/** A weighted sum of spectra; weights needn't add up to 1. */
export function mixSpectra(spectra: readonly Spectrum[], weights: readonly number[]): Spectrum {
  return spectrumOf((band) => spectra.reduce((sum, spectrum, i) => sum + weights[i] * spectrum[band], 0));
}
