import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { amountText } from '@aurantia/core';
import { caughtOf, type BenchCoat, type Make } from '@aurantia/core/make';
import { BUTTONS } from '../../parts/buttons';
import { NumberField } from '../../parts/fields/number-field';
import { WorkshopMemory } from '../../services/workshop';
import { OpenMake } from './open-make';

/** Glitter that fell on the paper goes back on the shelf: into its jar, or with the leftovers of its mix. */
@Component({
  selector: 'au-caught',
  imports: [BUTTONS, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Caught on the paper</h3>
    <p class="soft">One kind of glitter goes back into its own jar; a mix goes into a jar of leftovers, with its colour.</p>
    <div class="fields">
      @for (row of rows(); track row.place) {
        <div class="one">
          <au-number
            [label]="row.name"
            measure="ml"
            [gramsPerMl]="row.gramsPerMl"
            [value]="typed()[row.place] ?? null"
            (valueChange)="type(row.place, $event)"
          />
          <small>{{ row.says }}</small>
        </div>
      }
    </div>
    <button type="button" matButton="filled" [disabled]="open.busy() || nothing()" (click)="keep()">Put it back</button>
  `,
  styleUrl: './aside.scss',
})
export class CaughtPane {
  private readonly memory = inject(WorkshopMemory);
  protected readonly open = inject(OpenMake);
  readonly make = input.required<Make>();
  readonly coat = input.required<BenchCoat>();
  readonly kept = output();

  protected readonly rows = computed(() => {
    const { step, poured } = this.coat();
    const { units } = this.memory.settings();
    return caughtOf(this.make(), step, poured).map(({ place, name, expected, gramsPerMl }) => ({
      place,
      name,
      gramsPerMl,
      says: `about ${amountText(expected, units, gramsPerMl ?? 1)} by what the glue holds`,
    }));
  });
  /** ml by place */
  protected readonly typed = linkedSignal<unknown, Readonly<Partial<Record<string, number>>>>({
    source: computed(() => this.coat().step.coat),
    computation: () => ({}),
  });
  protected readonly nothing = computed(() => Object.values(this.typed()).every((ml) => !ml));

  protected type(place: string, ml: number | null): void {
    this.typed.set({ ...this.typed(), [place]: Math.max(0, ml ?? 0) });
  }

  /** One place after the other: each is a line of the log. */
  protected keep(): void {
    const { coat } = this.coat().step;
    const [place, ml] = Object.entries(this.typed()).find(([, one]) => one) ?? [];
    if (!place || !ml) return this.kept.emit();
    this.open.write({ what: 'kept', coat, place, ml }, () => {
      this.typed.set({ ...this.typed(), [place]: 0 });
      this.keep();
    });
  }
}
