import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { bareWallColour, usualMix, type ShelfWish } from '@aurantia/core';
import { paletteMixOf, type Palette } from '@aurantia/core/palette';
import { concatMap, from, last, map, toArray, type Subscription } from 'rxjs';
import { Pick } from '../../parts/fields/pick';
import { Mixes } from '../../services/mixes';
import { WorkshopMemory } from '../../services/workshop';
import { BUTTONS } from '../../parts/buttons';

/** Each mix over paint of its own colour, as makers match a base to opaque flakes. */
const MATCHED = 'matched';

/** Finds the nearest mix for every colour of a palette, one after the other. */
@Component({
  selector: 'au-palette-mixes',
  imports: [BUTTONS, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <au-pick label="Jars at most" [options]="sizes" [value]="size() + ''" (valueChange)="size.set(+$event)" />
    <au-pick label="Over" [options]="bases()" [value]="base()" (valueChange)="base.set($event)" />
    @if (searching()) {
      <button type="button" matButton="outlined" (click)="stop()">Stop</button>
      <span class="soft" role="status">colour {{ done() + 1 }} of {{ palette().colours.length }}…</span>
    } @else {
      <button type="button" matButton="filled" [disabled]="jars() === 0" (click)="find()">Find a mix for each</button>
      @if (sentence()) {
        <span class="wrong-note" role="alert">{{ sentence() }}</span>
      } @else if (jars() === 0) {
        <span class="soft">There is no glitter on the shelf to mix from.</span>
      }
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 14px;
      align-items: end;
    }
    span {
      line-height: 36px;
    }
  `,
})
export class PaletteMixes {
  private readonly mixes = inject(Mixes);
  private readonly memory = inject(WorkshopMemory);
  readonly palette = input.required<Palette>();
  /** the palette's colours, each with the nearest mix there is */
  readonly mixed = output<Palette['colours']>();

  protected readonly sizes = ['1', '2', '3', '4'].map((value) => ({ value, name: value }));
  protected readonly size = signal(3);
  protected readonly base = signal(MATCHED);
  protected readonly bases = computed(() => [
    { value: MATCHED, name: 'a base of the same colour' },
    { value: '#ffffff', name: 'white' },
    { value: '#000000', name: 'black' },
    { value: bareWallColour.steel, name: 'bare steel' },
    ...this.memory.shelf().flatMap((item) => (item.kind === 'paint' ? [{ value: item.colour, name: item.name }] : [])),
  ]);
  protected readonly jars = computed(() => this.memory.shelf().filter(({ kind }) => kind === 'glitter').length);
  protected readonly done = signal(0);
  protected readonly searching = signal(false);
  protected readonly sentence = signal<string | null>(null);
  private work: Subscription | null = null;
  private readonly id = computed(() => this.palette().id);

  constructor() {
    // What is found belongs to the palette it was looked for.
    effect((onCleanup) => {
      this.id();
      onCleanup(() => this.stop());
    });
  }

  protected find(): void {
    const { colours } = this.palette();
    const shelf = this.memory.shelf();
    this.done.set(0);
    this.searching.set(true);
    this.sentence.set(null);
    this.work = from(colours)
      .pipe(
        concatMap((one) =>
          this.mixes.find(this.wishFor(one.colour), shelf).pipe(
            last(),
            map(({ mixes }) => {
              this.done.update((count) => count + 1);
              const nearest = [...mixes].sort((a, b) => a.difference - b.difference).at(0);
              return { ...one, mix: nearest ? paletteMixOf(nearest) : null };
            }),
          ),
        ),
        toArray(),
      )
      .subscribe({
        next: (found) => {
          this.searching.set(false);
          this.mixed.emit(found);
        },
        error: (error: Error) => {
          this.searching.set(false);
          this.sentence.set(error.message);
        },
      });
  }

  protected stop(): void {
    this.work?.unsubscribe();
    this.searching.set(false);
  }

  private wishFor(target: string): ShelfWish {
    return {
      target,
      size: this.size(),
      total: usualMix.total,
      step: this.memory.settings().spoonStep,
      depth: usualMix.depth,
      under: this.base() === MATCHED ? target : this.base(),
      keep: [],
      without: [],
      onlyFine: false,
      onlyLeft: true,
      cheapest: null,
    };
  }
}
