import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { balanced, differenceWords, percentText, PatchError, thicknessText, type ItemOf, type KnownPatch } from '@aurantia/core';
import {
  DabError,
  dabLoad,
  readDab,
  spreadFilm,
  USUAL_CARD,
  USUAL_LINE,
  withDab,
  type DabReading,
  type FilmReading,
  type InkDab,
} from '@aurantia/core/ink-dab';
import { BUTTONS } from '../../../parts/buttons';
import { Chips } from '../../../parts/chips/chips';
import { ColourDot } from '../../../parts/fields/colour-dot';
import { NumberField } from '../../../parts/fields/number-field';
import { Pick } from '../../../parts/fields/pick';
import { Tick } from '../../../parts/fields/tick';
import { PhotoColour } from '../../../parts/photo-colour/photo-colour';
import { WorkshopMemory } from '../../../services/workshop';

const spots = {
  overWhite: 'the dab on the card',
  overBlack: 'the dab on the line',
  white: 'the bare card',
  black: 'the bare line',
} as const;
type Spot = keyof typeof spots;

interface SpotColour {
  /** as picked or as the photo shows it */
  readonly hex: string;
  readonly from: 'eye' | 'photo';
}

/** What a test dab says of an ink: measured, matched by eye or picked out of a photo, and read at once. */
@Component({
  selector: 'au-ink-dab',
  imports: [BUTTONS, Chips, ColourDot, NumberField, Pick, Tick, PhotoColour],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ink-dab.html',
  styleUrl: './ink-dab.scss',
})
export class InkDabForm {
  private readonly memory = inject(WorkshopMemory);
  readonly ink = input.required<ItemOf<'ink'>>();
  readonly read = output<ItemOf<'ink'>>();

  protected readonly filmWays: readonly { value: FilmReading; name: string }[] = [
    { value: 'spread', name: 'spread over an area' },
    { value: 'gauge', name: 'measured by gauge' },
    { value: 'guess', name: 'guessed' },
  ];
  protected readonly drops = signal(3);
  protected readonly resinMl = signal(10);
  protected readonly filmBy = signal<FilmReading>('spread');
  protected readonly spreadMl = signal(2);
  protected readonly area = signal(50);
  protected readonly typedFilm = signal(0.4);
  protected readonly lined = signal(true);
  private readonly patch = signal<KnownPatch | null>(null);
  private readonly picked = linkedSignal<string, Readonly<Record<Spot, SpotColour | null>>>({
    source: computed(() => this.ink().id),
    computation: () => ({ overWhite: null, overBlack: null, white: null, black: null }),
  });
  /** which spot the next press on the photo is */
  protected readonly picking = signal<Spot>('overWhite');

  protected readonly film = computed(() =>
    this.filmBy() === 'spread' ? spreadFilm(this.spreadMl(), this.area()) : this.typedFilm(),
  );
  protected readonly filmWords = computed(() => thicknessText(this.film()));
  protected readonly apart = computed(() => differenceWords(this.reading()?.reading.away ?? 0).word);
  protected readonly load = computed(() =>
    percentText(dabLoad({ drops: this.drops(), dropMl: this.ink().dropMl, resinMl: this.resinMl() }) / 100, 1),
  );
  protected readonly names = Object.entries(spots) as readonly (readonly [Spot, string])[];
  protected readonly rows = computed(() =>
    this.names
      .filter(([spot]) => this.lined() || !spot.endsWith('lack'))
      .map(([spot, name]) => ({ spot, name, hex: this.colours()[spot] ?? usual[spot], known: this.picked()[spot] !== null })),
  );
  protected readonly targets = computed(() =>
    this.rows().map(({ spot, name }) => ({ id: spot, name, on: spot === this.picking() })),
  );
  private readonly colours = computed(() => {
    const [picked, patch] = [this.picked(), this.patch()];
    const of = (spot: Spot) => {
      const one = picked[spot];
      return one === null ? null : one.from === 'photo' && patch ? balanced(one.hex, patch) : one.hex;
    };
    return { overWhite: of('overWhite'), overBlack: of('overBlack'), white: of('white'), black: of('black') };
  });
  private readonly dab = computed((): InkDab | null => {
    const { overWhite, overBlack, white, black } = this.colours();
    const pearl = this.ink().type === 'pearl';
    // A pearl is read over the line alone, all else over the card.
    if (pearl ? overBlack === null || !this.lined() : overWhite === null) return null;
    const all = Object.values(this.picked()).filter((one) => one !== null);
    return {
      type: this.ink().type,
      drops: this.drops(),
      dropMl: this.ink().dropMl,
      resinMl: this.resinMl(),
      film: this.film(),
      filmBy: this.filmBy(),
      white: white ?? usual.white,
      overWhite: overWhite ?? white ?? usual.white,
      black: black ?? usual.black,
      overBlack: this.lined() ? overBlack : null,
      seenBy: all.some(({ from }) => from === 'eye') ? 'eye' : this.patch() ? 'card' : 'photo',
      gloss: this.memory.settings().gloss,
    };
  });
  protected readonly result = computed((): { reading: DabReading; dab: InkDab } | { sentence: string } | null => {
    try {
      const dab = this.dab();
      return dab && { reading: readDab(dab, this.ink().hiding), dab };
    } catch (error) {
      if (error instanceof DabError || error instanceof PatchError) return { sentence: error.message };
      throw error;
    }
  });
  protected readonly reading = computed(() => {
    const result = this.result();
    return result && 'reading' in result ? result : null;
  });
  protected readonly wrong = computed(() => {
    const result = this.result();
    return result && 'sentence' in result ? result.sentence : null;
  });
  protected readonly sure = computed(() => {
    const { colour = 0, strength = 0 } = this.reading()?.reading.sure ?? {};
    return `Colour ± ${colour.toFixed(1)} ΔE00, strength ± ${percentText(strength)}.`;
  });
  protected readonly wants = computed(() =>
    this.ink().type === 'pearl'
      ? this.lined()
        ? 'Give the colour of the dab on the line to read it.'
        : 'A pearl shows over dark: draw a black line under the dab.'
      : 'Give the colour of the dab on the card to read it.',
  );

  protected measure(by: string): void {
    const way = this.filmWays.find(({ value }) => value === by);
    if (way) this.filmBy.set(way.value);
  }

  protected lit(patch: KnownPatch | null): void {
    this.patch.set(patch);
  }

  /** The next spot to pick follows by itself. */
  protected spotted(hex: string): void {
    this.pick(this.picking(), { hex, from: 'photo' });
    const next = this.rows().find(({ known }) => !known);
    if (next) this.picking.set(next.spot);
  }

  protected pick(spot: Spot, colour: SpotColour): void {
    this.picked.update((all) => ({ ...all, [spot]: colour }));
  }

  protected take(): void {
    const found = this.reading();
    if (found) this.read.emit(withDab(this.ink(), found.dab, found.reading));
  }
}

const usual: Readonly<Record<Spot, string>> = {
  white: USUAL_CARD,
  overWhite: USUAL_CARD,
  black: USUAL_LINE,
  overBlack: USUAL_LINE,
};
