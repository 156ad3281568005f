import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatFormField } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';

import { Locked } from './locked';

export interface Option {
  readonly value: string;
  readonly name: string;
}

let made = 0;

/** One of many, in a drop-down. A value that is no longer among them asks to choose. */
@Component({
  selector: 'au-pick',
  imports: [MatFormField, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="field">
      <span [id]="id" [class.unseen]="bare()">{{ label() }}</span>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <mat-select
          [aria-labelledby]="id"
          [value]="known() ? value() : null"
          placeholder="choose one"
          hideSingleSelectionIndicator
          [disabled]="within?.auLocked() ?? false"
          panelWidth=""
          (selectionChange)="valueChange.emit($event.value)"
        >
          @for (option of options(); track option.value) {
            <mat-option [value]="option.value">{{ option.name }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
    </div>
  `,
})
export class Pick {
  readonly label = input.required<string>();
  readonly options = input.required<readonly Option[]>();
  readonly value = input.required<string>();
  /** label only for those who can't see what it stands beside */
  readonly bare = input(false);
  readonly valueChange = output<string>();
  protected readonly within = inject(Locked, { optional: true });
  protected readonly id = `pick-${(made += 1)}`;
  protected readonly known = computed(() => this.options().some((option) => option.value === this.value()));
}
