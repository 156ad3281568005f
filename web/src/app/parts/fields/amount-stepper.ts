import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatInput } from '@angular/material/input';
import { amountFigure, amountUnit, partsText, readMeasure, tidy } from '@aurantia/core';
import { WorkshopMemory } from '../../services/workshop';
import { BUTTONS } from '../buttons';
import { Icon } from '../icons/icon';

/** An amount that goes up and down by the maker's spoon, by button, arrow keys or typing. */
@Component({
  selector: 'au-stepper',
  imports: [BUTTONS, Icon, MatInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="stepper" role="group" [attr.aria-label]="label()">
      <button
        type="button"
        matIconButton
        tabindex="-1"
        [attr.aria-label]="'Less ' + label()"
        (click)="step(-1)"
        [disabled]="now() <= least()"
      >
        <au-icon name="less" />
      </button>
      <input
        matInput
        [value]="text()"
        inputmode="decimal"
        autocomplete="off"
        [attr.aria-label]="label() + ', ' + unit()"
        [attr.aria-invalid]="wrong() ? true : null"
        (change)="typed($any($event.target).value)"
        (keydown.arrowUp)="step(1); $event.preventDefault()"
        (keydown.arrowDown)="step(-1); $event.preventDefault()"
      />
      <button type="button" matIconButton tabindex="-1" [attr.aria-label]="'More ' + label()" (click)="step(1)">
        <au-icon name="more" />
      </button>
    </div>
    @if (wrong()) {
      <span class="wrong-note" role="alert">{{ wrong() }}</span>
    }
  `,
  styles: `
    .stepper {
      display: inline-flex;
      align-items: stretch;
      height: 32px;
      border: 1px solid var(--field-edge);
      border-radius: 7px;
      background: var(--sheet);
    }
    .stepper:focus-within {
      border-color: var(--peel);
    }
    button {
      --mat-icon-button-state-layer-size: 30px;

      height: auto;
    }
    @media (pointer: coarse) {
      .stepper {
        height: 46px;
      }
      button {
        --mat-icon-button-state-layer-size: 44px;
      }
    }
    input {
      width: 48px;
      border: 0;
      background: none;
      text-align: center;
      font-weight: 700;
    }
  `,
})
export class AmountStepper {
  private readonly memory = inject(WorkshopMemory);
  readonly label = input.required<string>();
  readonly value = input.required<number>();
  readonly gramsPerMl = input(1);
  /** ml that count as one part; null to measure in the maker's unit */
  readonly onePart = input<number | null>(null);
  readonly refused = input<string | null>(null);
  readonly valueChange = output<number>();

  private readonly unread = linkedSignal<number, string | null>({ source: this.value, computation: () => null });
  protected readonly wrong = computed(() => this.unread() ?? this.refused());
  protected readonly least = computed(() => this.onePart() ?? this.memory.settings().spoonStep);
  protected readonly unit = computed(() => (this.onePart() === null ? amountUnit(this.memory.units()) : 'parts'));
  /** runs ahead of the owner's value, so that a held key loses no step */
  protected readonly now = linkedSignal(() => this.value());
  protected readonly text = computed(() => {
    const [ml, part] = [this.refused() ? this.value() : this.now(), this.onePart()];
    return part === null ? amountFigure(ml, this.memory.units(), this.gramsPerMl()) : partsText(ml / part);
  });

  protected step(direction: 1 | -1): void {
    const spoon = this.least();
    const steps = direction > 0 ? Math.floor(this.now() / spoon + 1e-6) + 1 : Math.ceil(this.now() / spoon - 1e-6) - 1;
    if (steps < 1) return;
    this.now.set(tidy(steps * spoon));
    this.valueChange.emit(this.now());
  }

  protected typed(text: string): void {
    if (text.trim() === this.text()) return this.unread.set(null);
    const part = this.onePart();
    const read = readMeasure(text, part === null ? 'ml' : 'plain', this.memory.units(), { gramsPerMl: this.gramsPerMl() });
    this.unread.set(read.ok ? null : read.sentence);
    if (read.ok) this.valueChange.emit(tidy(read.value * (part ?? 1)));
  }
}
