import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MENUS } from '../../parts/menus';
import { RouterLink } from '@angular/router';
import { paletteOfShelf, readPalette, type Palette, type PaletteId } from '@aurantia/core/palette';
import { v7 } from 'uuid';
import { textOfFile } from '../../services/file-text';
import { Palettes } from '../../services/palettes';
import { WorkshopMemory } from '../../services/workshop';
import { PaletteForm } from './palette-form';
import { PhotoPalette } from './photo-palette';
import { FileField } from '../../parts/fields/file-field';
import { BUTTONS } from '../../parts/buttons';

/** Colours that belong together: kept, brought in, taken from a photo, each with the mix that makes it. */
@Component({
  selector: 'au-palettes-place',
  imports: [BUTTONS, MENUS, PaletteForm, PhotoPalette, RouterLink, FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './palettes-place.html',
  styleUrl: './palettes-place.scss',
})
export class PalettesPlace {
  private readonly palettes = inject(Palettes);
  private readonly memory = inject(WorkshopMemory);

  protected readonly all = this.palettes.all;
  protected readonly loaded = this.palettes.loaded;
  protected readonly jars = computed(() => this.memory.shelf().filter(({ kind }) => kind === 'glitter').length);
  protected readonly photo = signal(false);
  protected readonly sentences = signal<readonly string[]>([]);
  private readonly chosen = signal<string | null>(null);
  protected readonly open = computed(() => this.all().find(({ id }) => id === this.chosen()) ?? this.all().at(0) ?? null);

  constructor() {
    this.palettes.load();
  }

  protected pick(palette: Palette): void {
    this.photo.set(false);
    this.chosen.set(palette.id);
  }

  protected ofShelf(): void {
    this.keep(paletteOfShelf(newId(), 'Glitters on the shelf', this.memory.shelf()));
  }

  protected blank(): void {
    this.keep({ id: newId(), name: 'New palette', colours: [{ name: 'First colour', colour: '#c2470f', mix: null }] });
  }

  protected ofPhoto(colours: Palette['colours']): void {
    this.keep({ id: newId(), name: 'From a photo', colours });
  }

  protected async bring(file: File): Promise<void> {
    const read = readPalette(await textOfFile(file), newId(), file.name);
    this.sentences.set(read.ok ? [] : read.faults.map(({ path, sentence }) => `${path}: ${sentence}`));
    if (read.ok) this.keep(read.palette);
  }

  private keep(palette: Palette): void {
    this.palettes.put(palette).subscribe((kept) => this.pick(kept));
  }
}

const newId = (): PaletteId => v7() as PaletteId;
