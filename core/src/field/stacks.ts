import { BANDS, labOf, layOver, reflectanceOf, spectrumOf, type Film, type Lab, type Spectrum } from '../colour';
import { flakeFilm, hides } from '../glitter';
import type { LookFlake } from '../look';

/** What lies on a pixel: all that is seen there, and what of it comes off the uppermost flake. */
export interface Stack {
  readonly seen: Spectrum;
  /** what the flake on top sends back; null where none lies */
  readonly glint: { readonly spectrum: Spectrum; readonly flake: number } | null;
}

/** A pixel's stack and its flake's tilt share 16 bits. */
export const MOST_STACKS = 1024;

/** Stacks whose L*a*b* fall into one cell so wide look alike. */
const ALIKE = 0.3;

/**
 * The stacks of flakes met on one part of a picture. Each is worked out once, on spectra, however many pixels show
 * it; such as look alike under the same flake count as one, so deep pours of see-through flakes stay few.
 */
export class Stacks {
  readonly all: Stack[];
  /** kinds of face, each once */
  readonly flakes: LookFlake[] = [];
  private readonly films: Film[] = [];
  private readonly byLook = new Map<string, number>();

  constructor(ground: string) {
    this.all = [{ seen: reflectanceOf(ground), glint: null }];
  }

  /** A coat of paint over everything; returns its stack. */
  paint(colour: string): number {
    const flaked = this.all.length > 1;
    const stack = { seen: reflectanceOf(colour), glint: null };
    // On a ground that nothing lies on yet the paint takes its place: every pixel has it already.
    if (flaked) this.all.push(stack);
    else this.all[0] = stack;
    return this.all.length - 1;
  }

  /** A film over everything: it changes what the stacks look like, not which pixel has which. */
  layFilm(film: Film): void {
    this.all.forEach(({ seen, glint }, at) => {
      const dimmed = glint && { flake: glint.flake, spectrum: spectrumOf((i) => glint.spectrum[i] * film.T[i] ** 2) };
      this.all[at] = { seen: layOver(film, seen), glint: dimmed };
    });
    this.byLook.clear();
  }

  /** The number of a kind of face. */
  kindOf(flake: LookFlake): number {
    const { colour, kind, opacity, finish } = flake;
    const known = this.flakes.findIndex(
      (one) => one.colour === colour && one.kind === kind && one.opacity === opacity && one.finish === finish,
    );
    if (known >= 0) return known;
    this.films.push(flakeFilm({ colour, kind, opacity }));
    return this.flakes.push(flake) - 1;
  }

  /** The stack that a flake makes of another. */
  over(flake: number, below: number): number {
    const film = this.films[flake];
    const seen = hides(this.flakes[flake]) ? film.R : layOver(film, this.all[below].seen);
    const lab = labOf(seen);
    const look = `${flake}/${lab.map((value) => Math.round(value / ALIKE)).join('/')}`;
    const known = this.byLook.get(look);
    if (known !== undefined) return known;
    const found =
      this.all.length < MOST_STACKS ? this.all.push({ seen, glint: { spectrum: film.R, flake } }) - 1 : this.nearest(lab);
    this.byLook.set(look, found);
    return found;
  }

  /** Once there is no room for more, the most alike of those there are. */
  private nearest(lab: Lab): number {
    const off = this.all.map(({ seen }) => labOf(seen).reduce((sum, value, i) => sum + (value - lab[i]) ** 2, 0));
    return off.reduce((best, value, at) => (value < off[best] ? at : best), 0);
  }
}

/** Spectra of stacks, each weighed by how often it is met, added up. */
export function lightOf(stacks: readonly Stack[], times: Float64Array): Spectrum {
  const sum = new Float64Array(BANDS);
  stacks.forEach(({ seen }, at) => {
    for (let band = 0; band < BANDS; band += 1) sum[band] += times[at] * seen[band];
  });
  return [...sum];
}
