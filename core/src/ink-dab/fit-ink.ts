import { deltaE2000, glossed, hexOf, labOf, layOver, reflectanceOf, spectrumOf, unglossed, type Spectrum } from '../colour';
import { bytesOf, hexOfBytes } from '../hex';
import { inkFilm, type InkEffect } from '../ink';
import { dabLoad, type InkDab } from './ink-dab';

/** An ink as a dab shows it, and how well that agrees with what was seen. */
export interface FittedInk {
  readonly effect: InkEffect;
  /** hex of what such an ink looks like over the card and over the line */
  readonly overWhite: string;
  readonly overBlack: string;
  /** the larger of its differences from what was seen, over the card and over the line, ΔE00 */
  readonly away: number;
}

/**
 * The ink that looks as a dab does. A dye's and a pearl's colour nearly follow from the film's own equations, band by band; a
 * pigment's, with how much it hides, is looked for from what the dab shows over white. Each is then moved in single steps of
 * its screen colour until none comes nearer to what was seen.
 * @param hiding of the ink as it was known: where a dab doesn't tell it, it stays
 */
export function fitInk(dab: InkDab, hiding: number): FittedInk {
  const judge = judgeOf(dab);
  const found = startsOf(dab, hiding)
    .map((start) => nearest(start, dab.type === 'pigment' && dab.overBlack !== null, judge))
    .reduce((best, one) => (judge(one) < judge(best) ? one : best));
  const effect = effectOf(dab, found);
  const [overWhite, overBlack] = [dab.white, dab.black].map((under) => hexOf(seenOn(effect, reflectanceOf(under), dab)));
  const offs = groundsOf(dab).map(({ under, seen }) => deltaE2000(labOf(seenOn(effect, under, dab)), seen));
  return { effect, overWhite, overBlack, away: Math.max(...offs) };
}

/** Screen colour of an ink, 0..255, and how much it hides, %. */
type Guess = readonly [r: number, g: number, b: number, hiding: number];

const effectOf = (dab: InkDab, [r, g, b, hiding]: Guess): InkEffect => ({
  type: dab.type,
  colour: hexOfBytes([r, g, b]),
  hiding: hiding / 100,
  referenceLoad: dabLoad(dab),
  referenceFilm: dab.film,
});

function seenOn(effect: InkEffect, under: Spectrum, { gloss }: InkDab): Spectrum {
  const seen = layOver(inkFilm(effect, effect.referenceLoad, effect.referenceFilm), under);
  return gloss ? glossed(seen) : seen;
}

/** What the dab itself sends back, without its face. */
const dabSpectrum = (hex: string, { gloss }: InkDab): Spectrum => (gloss ? unglossed(reflectanceOf(hex)) : reflectanceOf(hex));

/** What a dab shows, and on what. */
const groundsOf = ({ white, overWhite, black, overBlack }: InkDab) => [
  { on: 'card', under: reflectanceOf(white), seen: labOf(reflectanceOf(overWhite)) },
  ...(overBlack === null ? [] : [{ on: 'line', under: reflectanceOf(black), seen: labOf(reflectanceOf(overBlack)) }]),
];

/** What an ink is read by: a dye shows over the card, a pearl over the line, and a pigment's hiding by both. */
const readsBy = { dye: ['card'], pearl: ['line'], pigment: ['card', 'line'] } as const satisfies Record<
  InkDab['type'],
  readonly string[]
>;

/** How far a guess is from what was seen where it is read, ΔE76 squared. */
function judgeOf(dab: InkDab): (guess: Guess) => number {
  const by: readonly string[] = readsBy[dab.type];
  const grounds = groundsOf(dab).filter(({ on }) => by.includes(on));
  return (guess) => {
    const effect = effectOf(dab, guess);
    return grounds.reduce((sum, { under, seen }) => {
      const lab = labOf(seenOn(effect, under, dab));
      return sum + lab.reduce((all, value, axis) => all + (value - seen[axis]) ** 2, 0);
    }, 0);
  };
}

/** No pearl turns back more of a wavelength than this of what its platelets could. */
const STRONGEST = 0.95;

/** Where a pigment that hides a little and one that hides much are looked for from, %. */
const HIDINGS = [30, 80] as const;

function startsOf(dab: InkDab, hiding: number): readonly Guess[] {
  switch (dab.type) {
    case 'dye': {
      // Light passes it twice: `seen = T²·card`, and over ideal white `T²` is what is seen.
      const [card, seen] = [reflectanceOf(dab.white), dabSpectrum(dab.overWhite, dab)];
      return [guessOf(hexOf(spectrumOf((i) => Math.min(1, seen[i] / card[i]))), hiding)];
    }
    case 'pearl': {
      // Platelets take no light: `seen = R + (1 − R)²·g/(1 − R·g)`, solved for R. Only strength times colour tells, so the
      // strength stays as it was known, where the colour can be had with it.
      const [line, seen] = [reflectanceOf(dab.black), dabSpectrum(dab.overBlack ?? dab.black, dab)];
      const R = line.map((g, i) => Math.max(0, (seen[i] - g) / (1 - 2 * g + seen[i] * g)));
      const strength = Math.min(0.99, Math.max(hiding, Math.max(...R) / STRONGEST));
      return [guessOf(hexOf(R.map((r) => r / strength)), strength)];
    }
    case 'pigment':
      // Over white it is the colour it would have if it hid all, or lighter.
      return dab.overBlack === null
        ? [guessOf(dab.overWhite, hiding)]
        : HIDINGS.map((percent) => guessOf(dab.overWhite, percent / 100));
  }
}

const guessOf = (hex: string, hiding: number): Guess => [...bytesOf(hex), hiding * 100];

/** Steps of a screen colour, of 255, and of what a pigment hides, of 100. */
const STEPS = [16, 4, 1] as const;

/** The guess that single steps lead to, from coarse ones to one. @param hides whether what it hides is looked for too */
function nearest(from: Guess, hides: boolean, judge: (guess: Guess) => number): Guess {
  let [guess, off] = [from, judge(from)];
  for (const step of STEPS)
    for (let better = true; better;) {
      better = false;
      for (let axis = 0; axis < (hides ? 4 : 3); axis += 1)
        for (const by of [step, -step]) {
          const tried = stepped(guess, axis, by);
          const less = judge(tried);
          if (less < off - 1e-9) [guess, off, better] = [tried, less, true];
        }
    }
  return guess;
}

const stepped = ([r, g, b, hiding]: Guess, axis: number, by: number): Guess => {
  const byte = (value: number, own: number) => (axis === own ? Math.min(255, Math.max(0, value + by)) : value);
  return [byte(r, 0), byte(g, 1), byte(b, 2), axis === 3 ? Math.min(99, Math.max(1, hiding + by)) : hiding];
};
