import { hexOf, mixSpectra } from '../colour';
import { cutsOf, facePerMl, faceShares, flakeFilm, hides, type Glitter, type Part } from '../glitter';
import type { ItemOf, ShelfItemId } from './shelf-item';

/**
 * A mix as one glitter: the colour it has lying deep, and flakes that cover and weigh as it does.
 * A spoon of it faces you, and weighs, exactly as the same spoon of its parts.
 * @param parts ml of each, at least one above zero
 */
export function mixedGlitter(parts: readonly Part[]): Glitter {
  const shares = faceShares(parts);
  const ml = parts.reduce((sum, part) => sum + part.ml, 0);
  const byFace = (of: (glitter: Glitter) => number) => parts.reduce((sum, { glitter }, i) => sum + shares[i] * of(glitter), 0);
  const byMl = (of: (glitter: Glitter) => number) => parts.reduce((sum, part) => sum + (part.ml / ml) * of(part.glitter), 0);
  const opacity = Math.min(
    1,
    byFace((glitter) => glitter.opacity),
  );
  const reflected = mixSpectra(
    parts.map(({ glitter }) => flakeFilm(glitter).R),
    shares,
  );
  const solidShare = byMl((glitter) => glitter.solidShare);
  const opal = byFace((glitter) => (glitter.kind === 'opal' ? 1 : 0));
  return {
    colour: hexOf(reflected.map((value) => value / opacity)),
    kind: opal > 0.5 ? 'opal' : parts.every(({ glitter }) => hides(glitter)) ? 'solid' : 'tinted',
    opacity,
    ...cutsOfMix(parts, shares),
    solidShare,
    thickness: (solidShare * 10000) / byMl(facePerMl),
    density: byMl((glitter) => glitter.solidShare * glitter.density) / solidShare,
  };
}

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
