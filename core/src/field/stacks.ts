import { BANDS, glossOver, labOf, layOver, reflectanceOf, spectrumOf, type Film, type Lab, type Spectrum } from '../colour';
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

/** No stack's number. */
const UNKNOWN = 0xffff;
/** A share of a part that no picture shows a pixel of. */
const RARE = 1e-5;
/** Farther off than any two colours are. */
const FAR = 1e6;

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
  /** L*a*b* of each stack, once it was asked for */
  private labs: Lab[] = [];
  /** about which share of the part each stack covers */
  private likely: ReadonlyMap<number, number> = new Map([[0, 1]]);

  constructor(ground: string) {
    this.all = [{ seen: reflectanceOf(ground), glint: null }];
  }

  /** A film over everything: it changes what the stacks look like, not which pixel has which. */
  layFilm(film: Film): void {
    this.all.forEach(({ seen, glint }, at) => {
      const dimmed = glint && { flake: glint.flake, spectrum: spectrumOf((i) => glint.spectrum[i] * film.T[i] ** 2) };
      this.all[at] = { seen: layOver(film, seen), glint: dimmed };
    });
    this.byLook.clear();
    this.labs = [];
  }

  /** A clear coat's face over everything. @param mean what is seen of it all from afar, under that face */
  layGloss(mean: Spectrum): void {
    const { times, plus } = glossOver(mean);
    this.all.forEach(({ seen, glint }, at) => {
      const dimmed = glint && { flake: glint.flake, spectrum: spectrumOf((i) => glint.spectrum[i] * times[i]) };
      this.all[at] = { seen: spectrumOf((i) => plus + seen[i] * times[i]), glint: dimmed };
    });
    this.byLook.clear();
    this.labs = [];
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

  /**
   * Lays flakes deep: which stack a flake of each kind makes of each stack there is, `kinds.length` entries a stack. Stacks
   * are found the likeliest first, whoever drops flakes by the table later and in what order: so that a picture made by
   * many hands is the same as one made by one.
   * @param depth flakes deep on average
   */
  layFlakes(kinds: readonly LookFlake[], depth: number): Uint16Array<ArrayBuffer> {
    const faces = kinds.map((kind) => this.kindOf(kind));
    const total = kinds.reduce((sum, { share }) => sum + share, 0);
    const table = new Uint16Array(MOST_STACKS * kinds.length).fill(UNKNOWN);
    const over = (stack: number, k: number): number => {
      const at = stack * kinds.length + k;
      if (table[at] === UNKNOWN) table[at] = this.over(faces[k], stack, true);
      return table[at];
    };
    // How likely each stack is after so many flakes, and after as many as fall: Poisson(depth) of them.
    let after = new Map(this.likely);
    const likely = new Map<number, number>();
    let poisson = Math.exp(-depth);
    for (let count = 0; count < 4 + depth + 8 * Math.sqrt(depth); count += 1) {
      for (const [stack, share] of after) likely.set(stack, (likely.get(stack) ?? 0) + share * poisson);
      poisson *= depth / (count + 1);
      const next = new Map<number, number>();
      for (const [stack, share] of [...after].sort((one, other) => other[1] - one[1]))
        if (share > RARE)
          kinds.forEach((kind, k) => {
            const made = over(stack, k);
            next.set(made, (next.get(made) ?? 0) + (share * kind.share) / total);
          });
      after = next;
    }
    this.likely = likely;
    // What hardly ever comes to lie so goes with the most alike of those that do.
    for (let stack = 0; stack < this.all.length; stack += 1)
      faces.forEach((face, k) => {
        const at = stack * kinds.length + k;
        if (table[at] === UNKNOWN) table[at] = this.over(face, stack, false);
      });
    return table;
  }

  /** The stack that a flake makes of another; one that isn't there yet is made, or its nearest taken. */
  private over(flake: number, below: number, mayMake: boolean): number {
    const film = this.films[flake];
    const seen = hides(this.flakes[flake]) ? film.R : layOver(film, this.all[below].seen);
    const lab = labOf(seen);
    const look = `${flake}/${lab.map((value) => Math.round(value / ALIKE)).join('/')}`;
    const known = this.byLook.get(look);
    if (known !== undefined) return known;
    const made = mayMake && this.all.length < MOST_STACKS;
    const found = made ? this.all.push({ seen, glint: { spectrum: film.R, flake } }) - 1 : this.nearest(lab, flake);
    if (made) this.labs[found] = lab;
    this.byLook.set(look, found);
    return found;
  }

  /** Of the stacks with this flake on top, or of all where none has, the most alike. */
  private nearest(lab: Lab, flake: number): number {
    let [best, off] = [0, Infinity];
    for (const [at, { seen, glint }] of this.all.entries()) {
      const own = (this.labs[at] ??= labOf(seen));
      const away = own.reduce((sum, value, i) => sum + (value - lab[i]) ** 2, 0) + (glint?.flake === flake ? 0 : FAR);
      if (away < off) [best, off] = [at, away];
    }
    return best;
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
