import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';

export interface Option {
  readonly value: string;
  readonly name: string;
}

/** One of many, in a drop-down. A value that is no longer among them asks to choose. */
@Component({
  selector: 'au-pick',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="field">
      <span>{{ label() }}</span>
      <select (change)="valueChange.emit($any($event.target).value)">
        @if (!known()) {
          <option value="" selected disabled>choose one</option>
        }
        @for (option of options(); track option.value) {
          <option [value]="option.value" [selected]="option.value === value()">{{ option.name }}</option>
        }
      </select>
    </label>
  `,
})
export class Pick {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option[]>();
  readonly value = input.required<string>();
  readonly valueChange = output<string>();
  protected readonly known = computed(() => this.options().some((option) => option.value === this.value()));
}
