import { deltaE2000, hexOf, labOf, layOver, mixSpectra, reflectanceOf, type Spectrum } from '../colour';
import { cutsOf, facePerMl, faceShares, flakeFilm, flakeRain, hides, type Glitter, type Part } from '../glitter';
import { tidy } from '../units';
import type { ItemOf, ShelfItemId } from './shelf-item';

/**
 * A mix as one glitter: the colour it has lying deep, and flakes that cover and weigh as it does.
 * A spoon of it faces you, and weighs, exactly as the same spoon of its parts.
 * @param parts ml of each, at least one above zero
 */
export function mixedGlitter(parts: readonly Part[]): Glitter {
  const shares = faceShares(parts);
  const ml = parts.reduce((sum, part) => sum + part.ml, 0);
  const byMl = (of: (glitter: Glitter) => number) => parts.reduce((sum, part) => sum + (part.ml / ml) * of(part.glitter), 0);
  const solidShare = byMl((glitter) => glitter.solidShare);
  return {
    ...flakesOfMix(parts, shares),
    ...cutsOfMix(parts, shares),
    solidShare,
    thickness: (solidShare * 10000) / byMl(facePerMl),
    density: byMl((glitter) => glitter.solidShare * glitter.density) / solidShare,
  };
}

type Flakes = Pick<Glitter, 'colour' | 'kind' | 'opacity'>;

/** One kind of flake that looks as the mix does. */
function flakesOfMix(parts: readonly Part[], shares: readonly number[]): Flakes {
  const reflected = mixSpectra(
    parts.map(({ glitter }) => flakeFilm(glitter).R),
    shares,
  );
  if (parts.every(({ glitter }) => hides(glitter))) return { colour: hexOf(reflected), kind: 'solid', opacity: 1 };
  const opacity = tidy(parts.reduce((sum, { glitter }, i) => sum + shares[i] * glitter.opacity, 0));
  // Opals absorb nothing, and nor does a mix of them: what each sends back adds up.
  if (parts.every(({ glitter }) => glitter.kind === 'opal'))
    return { colour: hexOf(reflected.map((value) => value / opacity)), kind: 'opal', opacity };
  return seeThroughMix(parts, shares);
}

/** Depths and grounds a leftover is likely to be poured at: it should look as its parts do on all of them. */
const DEEP = 12;
const DEPTHS = [1, 2, DEEP];
const GROUNDS = ['#ffffff', '#808080', '#101010'].map(reflectanceOf);
const OPACITIES = Array.from({ length: 25 }, (_, i) => tidy(0.04 * (i + 1)));

/**
 * See-through flakes among others: of all opacities the one that comes nearest to the mix over light and dark, each with
 * the colour that makes it lie deep as the mix does.
 */
function seeThroughMix(parts: readonly Part[], shares: readonly number[]): Flakes {
  const wanted = GROUNDS.map((under) => DEPTHS.map((depth) => labOf(flakeRain(parts, depth, under))));
  const deep = deepSpectrum(parts, shares);
  const off = (flakes: Flakes): number => {
    const as = { ...parts[0].glitter, mixed: undefined, ...flakes };
    return GROUNDS.reduce(
      (sum, under, g) =>
        sum +
        DEPTHS.reduce((all, depth, d) => {
          const apart = deltaE2000(labOf(flakeRain([{ glitter: as, ml: 1 }], depth, under)), wanted[g][d]);
          // Lying deep is what the jar is named by.
          return all + (depth === DEEP ? 4 : 1) * apart ** 2;
        }, 0),
      0,
    );
  };
  const tried = OPACITIES.map((opacity): Flakes => ({ colour: hexOf(colourDeep(deep, opacity)), kind: 'tinted', opacity }));
  return tried.map((flakes) => ({ flakes, off: off(flakes) })).reduce((best, one) => (one.off < best.off ? one : best)).flakes;
}

/** What a mix looks like so deep that nothing under it counts. */
const deepSpectrum = (parts: readonly Part[], shares: readonly number[]): Spectrum => {
  const films = parts.map(({ glitter }) => flakeFilm(glitter));
  let seen: Spectrum = films[0].R;
  for (let layer = 0; layer < 200; layer += 1)
    seen = mixSpectra(
      films.map((film) => layOver(film, seen)),
      shares,
    );
  return seen;
};

/**
 * The colour that see-through flakes of an opacity need to look so lying deep: `U = R + T²U/(1 − RU)` with `T = 1 −
 * opacity`, solved for R, which is opacity × colour.
 */
const colourDeep = (deep: Spectrum, opacity: number): Spectrum =>
  deep.map((seen) => {
    const through = (1 - opacity) ** 2;
    const half = 1 + seen * seen;
    const back = (half - Math.sqrt(Math.max(0, half * half - 4 * seen * seen * (1 - through)))) / (2 * Math.max(1e-9, seen));
    return Math.min(1, back / opacity);
  });

/** A jar takes so many cuts beside its main one. */
const FURTHER = 5;
/** Below this share a cut isn't noted. */
const SPECK = 0.01;

/** The cuts of all parts with what each has of the face, most first. */
function cutsOfMix(parts: readonly Part[], shares: readonly number[]): Pick<Glitter, 'cut' | 'mixed'> {
  const sums = new Map<number, number>();
  parts.forEach(({ glitter }, i) => {
    for (const { cut, share } of cutsOf(glitter)) sums.set(cut, (sums.get(cut) ?? 0) + share * shares[i]);
  });
  const [[cut], ...others] = [...sums].sort(([, one], [, other]) => other - one);
  const mixed = others.filter(([, share]) => share >= SPECK).slice(0, FURTHER);
  return mixed.length === 0 ? { cut } : { cut, mixed: mixed.map(([other, share]) => ({ cut: other, share })) };
}

/** What is left of a mix as a jar of its own. */
export const leftoverItem = (
  id: ShelfItemId,
  name: string,
  parts: readonly Part[],
  left: number,
  made: string,
): ItemOf<'glitter'> => ({
  kind: 'glitter',
  id,
  name: name.slice(0, 80),
  note: `Leftover mix of ${made}. Its colour and flakes are predicted from its parts.`.slice(0, 500),
  left,
  paid: null,
  full: null,
  opened: null,
  lot: '',
  basis: 'typical',
  finish: 'metallic',
  flake: mixedGlitter(parts),
});
