import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MENUS } from '../../parts/menus';
import { differenceWords, faultsOf, fileNameOf, type Fault } from '@aurantia/core';
import {
  mixLine,
  MOST_COLOURS,
  nearestPair,
  paletteCsv,
  paletteJson,
  paletteSchema,
  paletteText,
  swatchCard,
  type Palette,
  type PaletteColour,
} from '@aurantia/core/palette';
import { ColourField } from '../../parts/fields/colour-field';
import { Notices } from '../../services/notices';
import { Palettes } from '../../services/palettes';
import { saveBlob, saveText } from '../../services/save-file';
import { swatchCardPng } from './draw-swatch-card';
import { PaletteMixes } from './palette-mixes';
import { TextField } from '../../parts/fields/text-field';
import { Icon } from '../../parts/icons/icon';
import { BUTTONS } from '../../parts/buttons';

/** One palette: its colours by name, what each is mixed of, and the files and sheets it goes out as. */
@Component({
  selector: 'au-palette-form',
  imports: [BUTTONS, ColourField, MENUS, PaletteMixes, TextField, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './palette-form.html',
  styleUrl: './palette-form.scss',
})
export class PaletteForm {
  private readonly palettes = inject(Palettes);
  private readonly notices = inject(Notices);
  readonly palette = input.required<Palette>();

  /** as typed; kept whenever it is sound */
  protected readonly draft = linkedSignal(this.palette);
  protected readonly most = MOST_COLOURS;
  protected readonly faults = computed<readonly Fault[]>(() => {
    const read = paletteSchema.safeParse(this.draft());
    return read.success ? [] : faultsOf(read.error);
  });
  protected readonly rows = computed(() =>
    this.draft().colours.map(({ name, colour, mix }) => ({
      name,
      colour,
      mixed: mix?.colour ?? null,
      mix: mix ? mixLine(mix) : null,
      apart: mix && mix.difference > 0 ? `${differenceWords(mix.difference).word}, ${mix.difference.toFixed(1)} apart` : '',
    })),
  );
  protected readonly pair = computed(() => nearestPair(this.palette()));
  protected readonly drawing = signal(false);

  protected why(path: string): string | null {
    return this.faults().find((fault) => fault.path === path)?.sentence ?? null;
  }

  protected rename(name: string): void {
    this.put({ ...this.draft(), name });
  }

  protected change(at: number, change: Partial<PaletteColour>): void {
    const colours = this.draft().colours.map((one, i) =>
      // A mix belongs to the colour it was found for.
      i === at ? { ...one, ...change, ...(change.colour !== undefined && change.mix === undefined ? { mix: null } : {}) } : one,
    );
    this.put({ ...this.draft(), colours });
  }

  protected add(): void {
    const { colours } = this.draft();
    this.put({ ...this.draft(), colours: [...colours, { name: `Colour ${colours.length + 1}`, colour: '#888888', mix: null }] });
  }

  protected takeOut(at: number): void {
    this.put({ ...this.draft(), colours: this.draft().colours.filter((_, i) => i !== at) });
  }

  protected mixed(colours: Palette['colours']): void {
    this.put({ ...this.draft(), colours });
  }

  protected remove(): void {
    this.palettes.remove(this.palette());
  }

  protected save(as: 'json' | 'csv' | 'txt'): void {
    const palette = this.palette();
    const text = { json: paletteJson, csv: paletteCsv, txt: paletteText }[as](palette);
    saveText(`${this.fileName()}.${as}`, text, ({ json: 'application/json', csv: 'text/csv', txt: 'text/plain' } as const)[as]);
  }

  protected async saveCard(): Promise<void> {
    this.drawing.set(true);
    try {
      saveBlob(`${this.fileName()}.png`, await swatchCardPng(swatchCard(this.palette())));
    } catch (error) {
      this.notices.failed(error);
    } finally {
      this.drawing.set(false);
    }
  }

  private fileName(): string {
    return fileNameOf(this.palette().name, 'palette');
  }

  private put(palette: Palette): void {
    this.draft.set(palette);
    if (this.faults().length > 0) return;
    this.palettes.put(palette).subscribe();
  }
}
