/** Every view: its name, its path, and what is read there once it is ready. */
export const views: readonly [string, string, string][] = [
  ['designs', '/designs', 'Copper Eaves'],
  ['cup', '/designs/copper-eaves/cup', 'Which cup is it?'],
  ['areas', '/designs/thistle-weave/areas', 'Left over on the wall'],
  ['areas with motifs', '/designs/apiary-noon/areas', 'Left over on the wall'],
  ['colour', '/designs/copper-eaves/colour', 'By the eye'],
  ['coats', '/designs/copper-eaves/coats', 'Scuff and degrease'],
  ['coats by the clock', '/designs/copper-eaves/coats?shown=clock', 'hands on'],
  ['coats cut through', '/designs/copper-eaves/coats?shown=cut', 'of coats here'],
  ['coats as they grow', '/designs/copper-eaves/coats?shown=growth', 'After coat'],
  ['amounts', '/designs/copper-eaves/amounts', 'Part A'],
  ['check', '/designs/copper-eaves/check', 'What do you see?'],
  ['card', '/designs/copper-eaves/card', 'Rest until cured through'],
  ['shelf', '/shelf?item=penny-rain', 'flakes in a ml'],
  ['palettes', '/shelf/palettes', 'no mix yet'],
  ['cups', '/cups', 'Measuring sheet'],
  ['bench', '/bench', 'Nothing is on the bench'],
];
