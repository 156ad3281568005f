import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';

let made = 0;

/** One of a few, all of them in sight. */
@Component({
  selector: 'au-choice',
  imports: [MatButtonToggleModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="name" [id]="id">{{ label() }}</span>
    <mat-button-toggle-group
      [attr.aria-labelledby]="id"
      hideSingleSelectionIndicator
      [value]="value()"
      (change)="valueChange.emit($event.value)"
    >
      @for (option of options(); track option.value) {
        <mat-button-toggle [value]="option.value">{{ option.name }}</mat-button-toggle>
      }
    </mat-button-toggle-group>
  `,
  styles: `
    .name {
      display: block;
      font-size: 0.7812rem;
      color: var(--soft);
      margin-bottom: 4px;
    }
  `,
})
export class Choice<Value extends string> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly { readonly value: Value; readonly name: string }[]>();
  readonly value = input.required<Value>();
  readonly valueChange = output<Value>();
  protected readonly id = `choice-${(made += 1)}`;
}
