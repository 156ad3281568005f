import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { cutsOf, percentText, type Glitter } from '@aurantia/core';
import { NumberField } from '../../parts/fields/number-field';
import { Icon } from '../../parts/icons/icon';
import { BUTTONS } from '../../parts/buttons';

type Cuts = NonNullable<Glitter['mixed']>;

/** Further cuts in the same jar, each with its share of a spoonful. */
@Component({
  selector: 'au-mixed-cuts',
  imports: [BUTTONS, NumberField, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of cuts(); track $index) {
      <div class="cut" role="group" [attr.aria-label]="'Cut ' + ($index + 2)">
        <au-number label="and a cut of" unitName="mm" [value]="one.cut" (valueChange)="change($index, { cut: $event ?? 0 })" />
        <au-number
          label="its share"
          measure="percent"
          [value]="one.share"
          (valueChange)="change($index, { share: $event ?? 0 })"
        />
        <button
          type="button"
          matIconButton
          (click)="takeOut($index)"
          [attr.aria-label]="'Take the cut of ' + one.cut + ' mm out'"
        >
          <au-icon name="take out" />
        </button>
      </div>
    }
    @if (refused()) {
      <p class="wrong-note" role="alert">{{ refused() }}</p>
    }
    <div class="cut">
      @if (cuts().length < 5) {
        <button type="button" matButton="outlined" (click)="add()">Another cut in the jar</button>
      }
      @if (cuts().length > 0) {
        <span class="soft">{{ rest() }}</span>
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    .cut {
      display: flex;
      gap: 10px;
      align-items: end;
    }
    au-number {
      width: 118px;
    }
  `,
})
export class MixedCuts {
  readonly flake = input.required<Glitter>();
  readonly refused = input<string | null>(null);
  /** undefined once the jar is of one cut again */
  readonly changed = output<Cuts | undefined>();
  protected readonly cuts = computed<Cuts>(() => this.flake().mixed ?? []);
  protected readonly rest = computed(() => {
    const [{ cut, share }] = cutsOf(this.flake());
    return `${percentText(share)} is left for ${cut} mm.`;
  });

  protected add(): void {
    const { cut } = this.flake();
    this.put([...this.cuts(), { cut: Number((cut * 2).toFixed(2)), share: 0.2 }]);
  }

  protected change(at: number, change: Partial<Cuts[number]>): void {
    this.put(this.cuts().map((one, i) => (i === at ? { ...one, ...change } : one)));
  }

  protected takeOut(at: number): void {
    this.put(this.cuts().filter((_, i) => i !== at));
  }

  private put(cuts: Cuts): void {
    this.changed.emit(cuts.length > 0 ? cuts : undefined);
  }
}
